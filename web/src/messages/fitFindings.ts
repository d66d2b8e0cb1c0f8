import type { FindingCode } from '@umbrex/core/findings';
import { mhzText } from '@umbrex/core/units';
import { eventWords } from './alerts';
import { serviceWords as service } from './services';
import { toneWords } from './tones';
import type { Words } from './words';

const CARRIED_BY = { unit: 'This set', team: 'The team this set is for', kind: 'This kind of set' } as const;
const watts = (w: number) => `${w} W`;

/** The words for what is said of a channel, or of the whole plan, on a set. */
export const FIT_WORDS = {
  'cannot-receive': (f) => ({
    what: `This set does not hear ${mhzText(f.receiveHz)} MHz.`,
    help: 'Give this channel to a scanner or to a set with a wider receiver.',
  }),
  'cannot-enter-frequency': (f) => ({
    what: `${mhzText(f.hz)} MHz is no multiple of this set’s step of ${f.stepsHz.map((hz) => hz / 1000).join(' or ')} kHz.`,
    help: 'It cannot be entered by hand; another kind of set may take it.',
  }),
  'receive-unknown': () => ({
    what: 'Nobody has written down what this set receives.',
    help: 'Look in its manual and add it to the description.',
  }),
  'mode-not-here': (f) => ({
    what:
      f.mode === 'digital'
        ? 'This channel is digital; an analogue set hears only noise.'
        : `This set does not receive ${f.mode}.`,
    help: 'Give it to a set or scanner that has this mode.',
  }),
  'trunk-not-here': (f) => ({
    what: `A control channel of ${f.network} carries data, no voices: this set hears only noise there.`,
    help: 'Give it to a scanner that follows networks.',
  }),
  'only-networks': () => ({
    what: 'This set follows trunked networks and nothing else.',
    help: 'Give this channel to a set or scanner that is tuned by hand.',
  }),
  'trunk-calls': (f) => ({
    what: `Calls of ${f.network} wander over its channels; the set is told of them by the control channel.`,
    help: 'Leave it out: only the control channel of the tower that is heard here goes in.',
  }),
  'tower-not-local': (f) => ({
    what: `This tower of ${f.network} is not the one that is heard here.`,
    more: 'Towers out of reach cost time on every round and bring nothing.',
  }),
  'tower-unknown': (f) => ({
    what: `Nobody has said whether this tower of ${f.network} is the one that is heard here.`,
    help: 'Listen for its control channel where the group is, and note it at the channel.',
  }),
  'pair-unknown': () => ({
    what: 'Nobody has said which channel of the plan this repeater carries.',
    help: 'Choose it under Devices, at this repeater.',
  }),
  'not-its-pair': () => ({ what: 'This repeater carries another pair.' }),
  'only-receives': () => ({ what: 'The set only receives.' }),
  'listen-only-by-plan': () => ({ what: 'The plan only listens here.' }),
  'no-repeater-input': (f) => ({
    what: `Listen only: it cannot send on the repeater’s input, ${mhzText(f.inputHz)} MHz.`,
    more: `It hears the output on ${mhzText(f.outputHz)} MHz with its code off. First gate that fails: transmit frequency.`,
    help: 'Lend its holder a set with repeater channels, or meet on a direct channel.',
  }),
  'talk-goes-out-on-output': (f) => ({
    what: `Pressing talk goes out on ${mhzText(f.transmitHz)} MHz, the frequency it listens on.`,
    more: 'Only sets near by hear it, and it may cover what others are listening to.',
    help: 'Tell the holder not to press talk here; print it on their card.',
  }),
  'only-hidden-tone': () => ({
    what: 'Its only place with this frequency has a preset tone that only its own make knows.',
    more: 'A set of another make neither opens it nor is heard by it.',
    help: 'Use its bare channels, or give the holder another set.',
  }),
  'fixed-receive-only': () => ({
    what: 'The factory made this channel receive only.',
    help: 'Use another direct channel for these sets.',
  }),
  'cannot-transmit-here': (f) => ({
    what: `This set cannot transmit on ${mhzText(f.transmitHz)} MHz.`,
    help: 'Listen with it, and talk with a set made for this service.',
  }),
  'transmit-unknown': () => ({
    what: 'Nobody has written down where this set transmits.',
    help: 'Look in its manual and add it to the description.',
  }),
  'not-certified': (f) => ({
    what: `This set is not certified to transmit on ${service(f.service)}.`,
    help: 'Listen with it. A set certified for the service may talk. Check your local rules.',
  }),
  'certification-unknown': (f) => ({
    what: `Is this set certified for ${service(f.service)}? Nobody has written it down.`,
    help: 'Read the label on the set and add it to the description.',
  }),
  'service-needs-licence': () => ({
    what: 'Listen only: no service known here gives these sets leave to transmit on this frequency.',
    help: 'Only the licensee’s own certified sets talk here. Check your local rules.',
  }),
  'licence-needed': (f) => ({ what: `Its holder needs a licence for ${service(f.service)} to talk here.` }),
  'no-licence': (f) => ({
    what: `Listen only: this person has no licence for ${service(f.service)}.`,
    help: 'Get the licence, or hand out a set of a service that needs none.',
  }),
  'licence-does-not-cover': (f) => ({
    what: `Listen only: the licence does not cover this person (it is ${f.holds === 'employer' ? 'their employer’s' : f.holds === 'family' ? 'a family member’s' : 'their own'}).`,
    help: 'A GMRS licence covers close family, not employees; an amateur licence covers its holder alone.',
  }),
  'licence-expired': (f) => ({
    what: `Listen only: the licence ran out on ${f.expires}.`,
    help: 'Renew it first.',
  }),
  'licence-expiry-unknown': () => ({
    what: 'When does this licence run out? Nobody has written it down: until then it is listen only.',
    help: 'Look at the licence, and write its last day down under People.',
  }),
  'keeper-not-asked': () => ({
    what: 'Nobody has this repeater’s keeper’s word yet.',
    help: 'Ask them before you send there, and note the answer at the station.',
  }),
  'keeper-refused': () => ({
    what: 'Listen only: who keeps this repeater refused the group, or their leave has ended.',
    help: 'Ask again, and write the answer down under Stations.',
  }),
  'left-out-without-right': (f) => ({
    what: `Left out: its talk key would send on ${mhzText(f.transmitHz)} MHz, where no right to send is known, and the set has no way to forbid it.`,
    help: 'Listen with a set that can be told not to send. The plan says what becomes of such channels.',
  }),
  'nobody-transmits-here': () => ({
    what: 'Nobody of a club, team or fleet transmits here.',
    help: 'Listen only.',
  }),
  'reserved-channel': (f) => ({
    what: `This channel is set aside for ${f.use}.`,
    help: 'Choose another one.',
  }),
  'fixed-station-not-here': () => ({
    what: 'Listen only: fixed stations send on the main channels alone.',
    help: 'Use a hand-held or a mobile set, or a main channel.',
  }),
  'only-aboard': () => ({
    what: 'Only aboard a vessel; on a voyage abroad its station needs a licence.',
  }),
  'removable-antenna': () => ({
    what: 'Listen only: an FRS set may not have an antenna that comes off.',
    help: 'Use it to listen, or a set with its antenna built on.',
  }),
  'emission-not-here': (f) => ({
    what: `Listen only: ${f.mode} is not allowed in this service.`,
    help: 'Change the mode of the channel, or take another service.',
  }),
  'band-edge': () => ({
    what: 'Listen only: part of the signal would be where no voices are allowed.',
    help: 'Move it inwards, away from the edge.',
  }),
  'hand-held-only': () => ({
    what: 'Only hand-held sets may transmit here.',
    help: 'Use another direct channel for mobiles and fixed stations.',
  }),
  'not-on-a-licence': () => ({
    what: 'It belongs to whoever has it on a licence.',
    help: 'If your group has, write it into the plan’s own frequencies.',
  }),
  'country-unknown': () => ({
    what: 'Nobody has said whose rules this plan follows.',
    help: 'Say it in the plan, under “Whose rules”.',
  }),
  'country-not-covered': () => ({
    what: 'No rules of this country are known here.',
    help: 'Check your local rules before anyone transmits.',
  }),
  'not-a-service-channel': (f) => ({
    what: `These frequencies are no channel and no repeater pair of ${service(f.service)}.`,
    help: 'Look at the listing again; input and output may be swapped, or a digit is wrong.',
  }),
  'power-too-high': (f) => ({
    what: `Listen only: the limit is ${watts(f.limitW)} and this set’s lowest step is ${watts(f.lowestW)}.`,
    help: 'Use a channel with a higher limit, or a set that goes lower.',
  }),
  'power-lowered': (f) => ({ what: `Power set to ${watts(f.usedW)}: the limit here is ${watts(f.limitW)}.` }),
  'power-unknown': (f) => ({
    what: `The limit here is ${watts(f.limitW)}, and nobody has written down this set’s power.`,
    help: 'Look it up and add it to the description.',
  }),
  'transmit-tone-missing': (f) => ({
    what: `This set does not have ${toneWords(f.tone)}, which it would have to send.`,
    more: 'It listens here. A near tone would not do: the other side stays shut.',
    help: 'Choose a tone that every set of the group has.',
  }),
  'receive-tone-left-off': (f) => ({
    what: `The receive tone is left off, since this set cannot wait for ${toneWords(f.tone)} alone.`,
    more: 'It hears everyone on the channel.',
  }),
  'tone-by-partner': (f) => ({
    what: `${f.tone} is written as ${f.as} here.`,
    more: 'Both are the same word on the air, turned round; sets cannot tell them apart.',
  }),
  'tone-by-number': (f) => ({
    what: `${toneWords(f.tone)} is code ${f.number} on this set.`,
    more: 'The number is this model’s own label; other models number differently.',
  }),
  'tone-both-ways': (f) => ({
    what: `This set has one code for both ways: it also waits for ${toneWords(f.tone)}.`,
    more: 'It does not hear people who send no tone.',
  }),
  'tones-differ-paired': (f) => ({
    what: `Listen only: it has one code for both ways, and the plan sends ${toneWords(f.transmitTone)} but hears ${toneWords(f.receiveTone)}.`,
    help: 'Use one tone for both ways on this channel.',
  }),
  'paired-stays-deaf': (f) => ({
    what: `It only listens here: with one code for both ways it would open the repeater with ${toneWords(f.inputTone)} and then stay deaf.`,
    more: `The repeater sends ${toneWords(f.outputTone)}, and this set would wait for ${toneWords(f.inputTone)}. With its code off it hears.`,
    help: 'Ask the owner to send the input tone on the output too, or use a set with a tone for each way.',
  }),
  'tone-list-unknown': () => ({
    what: 'Nobody has written down which tones this set has.',
    help: 'Look in its manual and add the list to the description.',
  }),
  'channel-tone-unknown': (f) => ({
    what:
      f.direction === 'transmit'
        ? 'Which tone opens this repeater? The plan does not know.'
        : 'Which tone does this repeater send? The plan does not know.',
    help: 'Ask its owner, then write it into the channel.',
  }),
  'group-split': (f) => ({
    what: `The set is full, and this group is split: ${f.left === 1 ? 'one of its channels is' : `${f.left} of its channels are`} left out.`,
    help: 'Give what must stay together a higher weight, or take something else out.',
  }),
  'no-free-slot': () => ({
    what: 'No free slot is left on this set.',
    help: 'Give less important channels up for it, or move them to a lower tier.',
  }),
  'slot-taken': (f) => ({
    what: `Its only place, number ${f.number}, already holds ${f.by || 'another channel'} with another setting.`,
    help: 'Give both channels the same tone, or leave one of them out for these sets.',
  }),
  'slot-shared': (f) => ({
    what: `Shares number ${f.number} with ${f.with || 'another channel'}; on this set they are the same.`,
  }),
  'locked-from-keypad': (f) => ({
    what: `Number ${f.number} (${f.label}) is locked from the keypad and holds something else.`,
    help: 'A cable may open it.',
  }),
  'not-carried': ({ by }) => ({
    what: `${CARRIED_BY[by]} does not carry the channel’s group.`,
    help: 'Which groups sets carry is said under “Groups that sets carry” in the plan.',
  }),
  'not-loaded': ({ state }) => ({
    what: `Left out: it ${state === 'planned' ? 'is only planned' : 'was withdrawn'}.`,
    help: 'What sets do with such channels is said under “Not on the air” in the plan.',
  }),
  'loaded-off-air': ({ state }) => ({
    what: state === 'planned' ? 'Loaded early: it is not on the air yet.' : 'Still loaded: it was withdrawn.',
  }),
  'name-shortened': (f) => ({ what: `Its name there is ${f.to}.`, more: `“${f.from}” does not fit.` }),
  'no-names': () => ({ what: 'No name can be set there; the set shows its own label.' }),
  'names-unknown': () => ({ what: 'Nobody has written down whether this set shows names.' }),
  'scan-differs': (f) => ({
    what:
      f.wanted === 'out'
        ? 'A scan comes by here against the plan: this set cannot leave it out.'
        : 'A scan does not come by here: this set cannot take it in.',
  }),
  'calls-where-listening': () => ({
    what: 'This set answers selective calls here by itself, where it may only listen.',
    more: 'Its mark for them cannot be taken off at this place: use another set, or leave the channel off it.',
  }),
  'priority-not-here': (f) => ({
    what:
      f.most === 'unknown'
        ? 'Nobody has written down whether this set can give a channel priority in its scan.'
        : f.most === 0
          ? 'This set gives no channel priority in its scan.'
          : `This set gives priority to ${f.perBank < f.most ? `${f.perBank === 1 ? 'one channel' : `${f.perBank} channels`} in each bank` : f.most === 1 ? 'one channel' : `${f.most} channels`} at most, and others come first.`,
    help: 'Leave a second set on the channel that must not be missed.',
  }),
  'resume-delay-differs': (f) => ({
    what:
      f.wanted === 'on'
        ? 'A scan on this set moves on as soon as somebody stops talking.'
        : 'A scan on this set stays for a while after somebody stops talking.',
  }),
  'bandwidth-differs': (f) => ({
    what: `The plan says ${f.wanted}; this set is ${f.has} there.`,
    more: f.has === 'narrow' ? 'Wide voices may sound harsh in it.' : 'Narrow voices sound low in it.',
  }),
  'bandwidth-by-rule': (f) => ({
    what: `It is narrow here: the rule allows ${f.limitHz / 1000} kHz, and the plan says wide.`,
    help: 'Make the channel narrow in the plan.',
  }),
  'set-too-wide': (f) => ({
    what: `It would send wider than the ${f.limitHz / 1000} kHz that the rule allows, and cannot be set narrower.`,
    help: 'Listen only, or use a set that can be narrow.',
  }),
  'name-twice': (f) => ({
    what: `Another place of this set is called “${f.name}” too.`,
    help: 'Give the channel a short name of its own, or go by number.',
  }),
  'bandwidth-unknown': () => ({ what: 'Nobody has written down whether this set is wide or narrow there.' }),
  'firmware-unverified': (f) => ({
    what: `Firmware ${f.firmware} is not one this description was written for.`,
    help: 'Compare two steps with the set in hand before you trust the sheet.',
  }),
  'firmware-unknown': () => ({
    what: 'The firmware of this set is not known.',
    help: 'Look at what it shows when it is turned on.',
  }),
  'override-left-on': (f) => ({
    what: `${toneWords(f.tone)} is picked by hand on this set and stands in place of each channel’s own${f.reach === 'both' ? ', sending and waiting' : ' when it sends'}.`,
    more: `${f.shut === 0 ? 'It shuts nothing in this plan' : `On ${f.shut} of the plan’s channels nobody hears it`}${f.deaf > 0 ? `, and on ${f.deaf} it hears nobody` : ''}. ${f.sticky ? 'It stays when the channel is changed.' : 'It goes when the channel is changed.'}`,
    help: 'Clear the picked tone before anything else is tried.',
  }),
  'override-unknown': (f) => ({
    what: `This set lets its operator pick a tone by hand${f.sticky ? ', and it stays' : ''}; nobody has looked whether one is on.`,
    help: 'Look at the set, clear it, and write it down with the device.',
  }),
  'alert-reach-not-here': (f) => ({
    what: `This set cannot listen for ${f.reach === 'one' ? 'one area alone' : f.reach === 'list' ? 'a list of areas' : 'every area'}.`,
    help: 'Choose another reach for the group, or set this one by hand and say so.',
  }),
  'alert-transmitter-unknown': () => ({
    what: 'Nobody has said on which frequency the weather transmitter is heard here.',
    help: 'Listen for the clearest one that names your county, and write it in the plan.',
  }),
  'alert-everywhere': () => ({
    what: 'This set sounds for every area it hears of, near or far.',
    help: 'People switch off a set that sounds for others. Name the areas instead.',
  }),
  'alert-always-on': (f) => ({
    what: `This set cannot be kept from sounding for ${eventWords(f.events)}.`,
    more: 'That is meant: some alerts are never switched off.',
  }),
  'alert-no-switch': (f) => ({
    what: `This set has no switch for ${eventWords(f.events)}, and sounds for it.`,
  }),
  'alert-warning-silent': (f) => ({
    what: `It will stay silent for ${eventWords(f.events)}: people may be in danger and not hear of it.`,
    help: 'Switch off watches and statements before any warning; none at all if in doubt.',
  }),
  'alert-test-silent': () => ({
    what: 'Without the weekly test nobody knows that the set still hears its transmitter.',
    help: 'Leave the weekly test on, and note when it was heard.',
  }),
  'alert-areas-ignored': (f) => ({
    what: `Set to one area alone, it ignores ${f.areas.join(', ')}.`,
    help: 'Let the sets listen for a list, if the others count too.',
  }),
  'alert-areas-unseen': (f) => ({
    what: `Nobody has looked at ${f.places === 1 ? 'one of its places' : `${f.places} of its places`} for areas: what stands there it sounds for as well.`,
    help: 'Look at them on the set, and empty those that are not meant.',
  }),
  'alert-areas-kept': (f) => ({
    what: `It also holds ${f.areas.join(', ')} of its own, and sounds for it.`,
    help: 'Ask the holder whether it shall; if not, clear it by the set’s manual.',
  }),
  'alert-areas-left-out': (f) => ({
    what: `It has no more places: ${f.areas.join(', ')} are left out.`,
    help: 'Put the areas that count most first.',
  }),
  'fleet-id-missing': () => ({
    what: 'This set has no fleet ID: others cannot call it, and do not see who calls.',
    help: 'Give it one of its own under Devices.',
  }),
  'fleet-id-unfit': (f) => ({
    what: `This kind of set cannot hold the fleet ID ${f.fleetId}: its IDs have ${f.digits} digits.`,
    help: 'Give it another one under Devices, and tell the others.',
  }),
  'fleet-id-twice': (f) => ({
    what: `${f.other} has the fleet ID ${f.fleetId} too: a call would ring on both.`,
    help: 'Give one of the two another ID under Devices. It is left out until then.',
  }),
  'calls-left-out': (f) => ({
    what: `Its call list has no place for ${f.names.join(', ')}, or not for their IDs.`,
    help: 'Give IDs with as many digits as this kind of set has, or call the group instead.',
  }),
  'statuses-left-out': (f) => ({
    what: `It has no more places for status texts: ${f.texts.join(', ')} ${f.texts.length === 1 ? 'is' : 'are'} left out.`,
    help: 'Put the texts that count most first.',
  }),
} satisfies Partial<Words<FindingCode>>;
