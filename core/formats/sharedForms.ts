import { canonicalJson } from '../course';
import { findFamily } from '../pieces';
import { FAMILIES } from './dictionary';
import { UNIT } from './predict';

// What pieces share, packed: a family by its place in the list, a size by what of it is not as the last
// of that family had it, and all else as JSON that is told once.

export const FORM_COLUMNS = ['family', 'rest', 'size', 'extent'] as const;
type FormColumns = Record<(typeof FORM_COLUMNS)[number], number[]>;

const PLACES = new Map(FAMILIES.map((family, i) => [family, i + 1]));
type Size = readonly [number, number, number];

/** Sizes as they are guessed: the last of the family, else its usual one. */
class Sizes {
  private readonly last = new Map<string, Size>();

  guess(family: string): Size {
    return this.last.get(family) ?? (findFamily(family)?.size as Size | undefined) ?? [1, 1, 1];
  }
  tell(family: string, size: Size): void {
    this.last.set(family, size);
  }
}

/** Writes forms into columns. Returns what of them is told as JSON, each once. */
export function packForms(forms: readonly object[], columns: FormColumns): object[] {
  const sharedForms: object[] = [];
  // Those used last come first, as with the forms themselves.
  const used: string[] = [];
  const sizes = new Sizes();
  for (const form of forms) {
    const { family, size, ...more } = form as { family: string; size?: Size };
    const place = PLACES.get(family) ?? 0;
    const exact = size?.every((v) => Math.round(v * UNIT) / UNIT === v);
    const rest = {
      ...more,
      ...(place === 0 ? { family } : {}),
      ...(size && !exact ? { size } : {}),
    };
    const text = canonicalJson(rest);
    const since = used.indexOf(text);
    if (since < 0) sharedForms.push(rest);
    else used.splice(since, 1);
    used.unshift(text);
    columns.family.push(place);
    columns.rest.push(since + 1);
    if (!size || !exact) {
      columns.size.push(0);
      continue;
    }
    const guess = sizes.guess(family);
    const off = size.map((v, axis) => v !== guess[axis]);
    columns.size.push(1 + off.reduce((sum, is, axis) => sum + (is ? 1 << axis : 0), 0));
    size.forEach((v, axis) => {
      if (off[axis]) columns.extent.push(Math.round(v * UNIT));
    });
    sizes.tell(family, size);
  }
  return sharedForms;
}

/** Reads forms back from columns, whose numbers come from their ends. */
export function unpackForms(rests: object[], columns: FormColumns): object[] {
  const left = [...rests];
  const used: object[] = [];
  const sizes = new Sizes();
  return columns.family.reverse().map((place) => {
    const since = columns.rest.pop()!;
    const rest = since === 0 ? left.shift()! : used.splice(since - 1, 1)[0];
    used.unshift(rest);
    const family = place === 0 ? (rest as { family: string }).family : FAMILIES[place - 1];
    const told = columns.size.pop()!;
    if (told === 0) return { ...rest, family };
    const guess = sizes.guess(family);
    const size = guess.map((v, axis) =>
      (told - 1) & (1 << axis) ? columns.extent.pop()! / UNIT : v,
    ) as unknown as Size;
    sizes.tell(family, size);
    return { ...rest, family, size: [...size] };
  });
}
