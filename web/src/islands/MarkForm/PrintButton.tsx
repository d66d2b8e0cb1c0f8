import { Printer } from 'lucide-react';
import { guarded } from '../../ui/guarded';

function PrintButtonIsland({ what = 'this sheet' }: { what?: string }) {
  return (
    <button type="button" className="btn btn-primary btn-sm" onClick={() => window.print()}>
      <Printer size={16} aria-hidden="true" /> Print {what}
    </button>
  );
}

export const PrintButton = guarded('PrintButton', PrintButtonIsland);
