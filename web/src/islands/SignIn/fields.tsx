/** What went wrong with a small form. */
export function Fault({ text }: { text: string | null }) {
  return text === null ? null : (
    <p className="finding text-plain" data-severity="error" role="alert">
      {text}
    </p>
  );
}

export const PASSWORD_HELP = 'At least 10 characters; a few words are fine.';
