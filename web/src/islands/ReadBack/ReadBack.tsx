import type { Finding } from '@umbrex/core/findings';
import { compareMemory, readMemory, writeMemory } from '@umbrex/core/formats';
import type { Description, SlotValues } from '@umbrex/core/model';
import { useState } from 'react';
import { TakeInFile } from '../../components/TakeInFile';
import { counted } from '../../messages/labels';
import { guarded } from '../../ui/guarded';
import { saveFile } from '../desk/saveFile';

interface Props {
  description: Description;
  /** What each place shall hold, by its number; `null` where it shall be empty. */
  wanted: readonly (readonly [number, SlotValues])[];
  /** Settings of the whole set that the plan decides: places in their lists. */
  settings: Readonly<Record<string, number>>;
  nickname: string;
  /** What it is instead of, where the set has steps as well. */
  instead?: string;
}

/** For sets that a program loads: the data file to send, and what came back compared with it, place by place. */
function ReadBackIsland({ description, wanted, settings, nickname, instead }: Props) {
  const [result, setResult] = useState<ReturnType<typeof compareMemory> | null>(null);
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  const shall = { slots: new Map(wanted), settings };
  const save = () => {
    const text = `${JSON.stringify(writeMemory(description, shall), null, 2)}\n`;
    saveFile(`${nickname}.json`, text, 'application/json');
  };
  const take = async (file: File) => {
    setResult(null);
    const read = readMemory(await file.text());
    if (!read.ok) return setFindings(read.findings);
    const compared = compareMemory(description, shall, read.value);
    setFindings(compared.findings);
    if (compared.findings.length === 0) setResult(compared);
  };
  return (
    <section className="print-hide mt-6 rounded border border-base-300 bg-base-100 p-4">
      <h2 className="text-lg font-bold">By file</h2>
      <p className="muted mb-2">
        {instead ?? 'For a program that sends to the set.'} It has what each place shall hold, as an open
        file. Bring what was read back, and it is compared place by place; places that the plan does not use
        are the holder’s own.
      </p>
      <button type="button" className="btn btn-outline btn-sm" onClick={save}>
        Save the data file
      </button>
      <TakeInFile label="Bring what was read back" take={take} findings={findings} />
      {result && (
        <div className="mt-3" role="status">
          {result.differences.length === 0 ? (
            <p className="font-semibold text-success">
              ✓ The set holds what it shall: {counted(result.same, 'place')}, no difference.
            </p>
          ) : (
            <>
              <p className="font-semibold text-error">
                {result.differences.length === 1
                  ? 'One value differs'
                  : `${result.differences.length} values differ`}
                ; {result.same === 1 ? 'one place is' : `${result.same} places are`} right. Send once more,
                then read back again.
              </p>
              <table className="mt-2 w-full text-left text-plain">
                <thead>
                  <tr className="muted">
                    <th className="font-normal">Place</th>
                    <th className="font-normal">Value</th>
                    <th className="font-normal">Shall be</th>
                    <th className="font-normal">Is</th>
                  </tr>
                </thead>
                <tbody>
                  {result.differences.map(({ number, label, title, wanted: value, has }) => (
                    <tr key={`${number} ${title}`} className="border-t border-base-300">
                      <th scope="row" className="font-mono font-semibold">
                        {number === null ? 'whole set' : label}
                      </th>
                      <td>{title || 'the place'}</td>
                      <td className="font-mono">{value || 'empty'}</td>
                      <td className="font-mono">{has ?? 'missing'}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </>
          )}
        </div>
      )}
    </section>
  );
}

export const ReadBack = guarded('ReadBack', ReadBackIsland);
