import { Printer } from 'lucide-react';

export function PrintButton() {
  return (
    <button type="button" className="btn btn-primary btn-sm" onClick={() => window.print()}>
      <Printer size={16} aria-hidden="true" /> Print this sheet
    </button>
  );
}
