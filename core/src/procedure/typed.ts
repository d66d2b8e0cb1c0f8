import { type Description, digitsOf, type RecipeStep, type Recipes } from '../model/index';
import type { About, Wording } from './wording';

/** What a step types, as figures; `undefined` where the description does not say how. @param width of figures that are filled with zeros */
export function typedText(
  what: Extract<RecipeStep, { do: 'type' }>['what'],
  width: number,
  about: About,
  { recipes, receive, wording }: { recipes: Recipes; receive: Description['receive']; wording: Wording },
): string | undefined {
  const value = about.to[about.field];
  switch (what) {
    case 'slotNumber':
      return String(about.slot.number).padStart(width, '0');
    case 'position':
      return String(about.slot.position).padStart(width, '0');
    case 'itemNumber':
      return recipes.items[about.field]?.number;
    case 'frequency':
      return frequencyDigits(recipes, receive, Number(value));
    case 'areaCode':
      return String(value);
    case 'transmitFrequency':
      return frequencyDigits(recipes, receive, wording.sideHz(about));
    case 'text':
      return undefined;
    case 'listCode':
      if (about.setting) return about.setting.list[about.setting.to]?.typed;
      return wording.listFor(about.field)[Number(value)]?.typed;
    default:
      return what satisfies never;
  }
}

function frequencyDigits(
  { frequencyEntry: rule }: Recipes,
  receive: Description['receive'],
  hz: number,
): string | undefined {
  return rule && digitsOf(rule, receive, hz);
}
