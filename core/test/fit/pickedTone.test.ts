import { fitBoard, fitDevice, fitPlan, pickedToneEffects } from '@umbrex/core/fit';
import { type Description, DescriptionSchema } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { pickableTones } from '@umbrex/core/tones';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan, unit, uuid } from '../support/plans';

const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
const free = channel('No tone', 462.7, 467.7, { transmitTone: 'off', receiveTone: 'off' });
const code = channel('Code', 462.6875, 462.6875, { transmitTone: 'D047I', receiveTone: 'D047I' });
const vague = channel('Vague', 462.725, 467.725, { transmitTone: 'unknown', receiveTone: 'unknown' });
const watch = channel('Watch', 156.8, null);
const all = [kelp, free, code, vague, watch];
const names = (channels: readonly { name: string }[]) => channels.map(({ name }) => name);

/** A set whose operator can pick one of three tones by hand; there is none such among the shipped ones. */
function picking(reach: 'transmit' | 'both', sticky: boolean): Description {
  return DescriptionSchema.parse({
    ...shipped('page-handheld'),
    id: 'picking-test',
    operatorTone: { reach, sticky, list: 'picks' },
    lists: {
      ...shipped('page-handheld').lists,
      picks: [{ kind: 'ctcss', tenthsHz: [825, 1318, 1567], shown: '{index}' }],
    },
  });
}
const findings = (pickedTone: string, device = picking('both', true)) =>
  fitBoard(plan(all), [unit(1, 'picking-test', { pickedTone })], [device], NO_GROUNDS).unitFindings[uuid(1)];

describe('a tone picked by the operator', () => {
  it('shuts what waits for another tone; what nobody knows is not counted', () => {
    expect(names(pickedToneEffects('82.5', 'transmit', all).shut)).toEqual(['Kelp', 'Code']);
    expect(pickedToneEffects('82.5', 'transmit', all).deaf).toEqual([]);
  });
  it('is heard where others wait for it: direct by what they wait for, through a repeater by what opens that', () => {
    const apart = { transmitTone: '88.5', receiveTone: '131.8' };
    const direct = channel('Direct', 462.6875, 462.6875, apart);
    const through = channel('Through', 462.65, 467.65, apart);
    const shut = (tone: string) => names(pickedToneEffects(tone, 'transmit', [direct, through]).shut);
    expect(shut('131.8')).toEqual(['Through']);
    expect(shut('88.5')).toEqual(['Direct']);
    expect(shut('off')).toEqual(['Direct', 'Through']);
  });
  it('both ways, its holder is deaf wherever another tone or none is sent', () =>
    expect(names(pickedToneEffects('131.8', 'both', all).deaf)).toEqual(['No tone', 'Code', 'Watch']));
  it('counts the code that sounds the same as the same', () =>
    expect(names(pickedToneEffects('D023N', 'both', [code]).shut)).toEqual([]));
  it('left on is a warning with its consequences; not looked at is a note; off is fine', () => {
    expect(findings('82.5')).toEqual([
      {
        code: 'override-left-on',
        severity: 'warning',
        tone: '82.5',
        reach: 'both',
        sticky: true,
        shut: 2,
        deaf: 4,
      },
    ]);
    expect(findings('unknown', picking('transmit', false))).toEqual([
      { code: 'override-unknown', severity: 'note', reach: 'transmit', sticky: false },
    ]);
    expect(findings('off')).toBeUndefined();
    expect(pickableTones(picking('both', true))).toEqual(['82.5', '131.8', '156.7']);
    expect(pickableTones(shipped('page-handheld'))).toBeNull();
  });
  it('needs a list that is there', () =>
    expect(
      DescriptionSchema.safeParse({
        ...shipped('page-handheld'),
        operatorTone: { reach: 'both', sticky: true, list: 'nowhere' },
      }).error?.issues[0]?.path,
    ).toEqual(['operatorTone', 'list']));
});

describe('a preset tone that only its make knows', () => {
  const presets = (hiddenTone: boolean) =>
    DescriptionSchema.parse({
      ...shipped('pocket-radio'),
      id: 'presets-test',
      regions: [
        {
          id: 'presets',
          title: 'Presets',
          first: 1,
          count: 1,
          size: 1,
          stride: 1,
          banks: [],
          label: 'P{position}',
          ways: [{ by: ['keys'], fields: ['code'] }],
          content: {
            kind: 'fixed',
            channels: [
              {
                receiveHz: 462_562_500,
                transmitHz: 462_562_500,
                bandwidth: 'narrow',
                ...(hiddenTone && { hiddenTone }),
              },
            ],
          },
        },
      ],
    });
  const sweep = channel('Sweep', 462.5625, 462.5625);
  const cell = (hidden: boolean, of = sweep) => fitPlan(plan([of]), fitDevice(presets(hidden))).cells[0];
  it('is no place for anybody else’s channel, to talk or to listen', () => {
    expect(cell(false)?.verdict).toBe('full');
    expect(cell(true)).toMatchObject({ verdict: 'no', slot: null });
    expect(cell(true)?.findings.map((f) => f.code)).toContain('only-hidden-tone');
    expect(cell(true, { ...sweep, transmitHz: null })?.findings.map((f) => f.code)).toContain(
      'only-hidden-tone',
    );
  });
});
