import { THINGS } from '@umbrex/core/fields';
import { useState } from 'react';
import type { TableKind } from '../../contract/tables';
import { later } from '../../ui/later';
import { address } from '../desk/ask';
import { TakeOut } from '../desk/TakeOut';
import type { ImportProps } from './useTableImport';

/** Reads tables of every form; wanted once in a while. */
const TableImport = later(() => import('./TableImport').then((part) => part.TableImport), { fetch: 'asked' });

/** Things as a table, in and out: for spreadsheets and other programs. For those who may edit. */
export function TableFiles<K extends TableKind>(props: Omit<ImportProps<K>, 'close'>) {
  const what = THINGS[props.kind].many;
  const [importing, setImporting] = useState(false);
  return (
    <>
      <span className="muted w-full text-plain">
        {`The ${what} as a table, for a spreadsheet or another program`}
      </span>
      <button type="button" className="btn btn-outline btn-sm" onClick={() => setImporting(true)}>
        Bring in a table
      </button>
      <TakeOut
        rows={what}
        forms={['csv', 'tsv', 'xlsx', 'json']}
        path={(as) =>
          address('GET /api/roster/export', {}, { what, as, ...(props.planId && { plan: props.planId }) })
        }
      />
      {importing && <TableImport {...props} close={() => setImporting(false)} />}
    </>
  );
}
