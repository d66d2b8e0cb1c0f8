import { useEffect, useState } from 'react';
import { guarded } from '../ui/guarded';

/** Reads some sentences one after another by the browser’s own voice; a second press stops it. Without a voice there is no button. */
function ReadAloudIsland({ texts, of }: { texts: readonly string[]; of: string }) {
  const [canSpeak, setCan] = useState(false);
  const [isReading, setReading] = useState(false);
  useEffect(() => {
    setCan('speechSynthesis' in window);
    return () => window.speechSynthesis?.cancel();
  }, []);
  if (!canSpeak) return null;
  const read = () => {
    window.speechSynthesis.cancel();
    if (isReading) {
      setReading(false);
      return;
    }
    setReading(true);
    texts.forEach((text, i) => {
      const said = new SpeechSynthesisUtterance(text);
      if (i === texts.length - 1) {
        said.onend = () => setReading(false);
        said.onerror = () => setReading(false);
      }
      window.speechSynthesis.speak(said);
    });
  };
  return (
    <button type="button" className="btn btn-outline btn-xs my-1" aria-pressed={isReading} onClick={read}>
      {isReading ? 'Stop reading' : 'Read aloud'}
      <span className="sr-only"> the steps of {of}</span>
    </button>
  );
}

export const ReadAloud = guarded('ReadAloud', ReadAloudIsland);
