/** JSON text that is canonical already and is put in as it is. */
export class ReadyJson {
  constructor(readonly text: string) {}
}

/** JSON with sorted keys and no white space: equal data gives equal text. */
export function canonicalJson(value: unknown): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  if (value instanceof ReadyJson) return value.text;
  if (Array.isArray(value)) {
    let list = '';
    for (let i = 0; i < value.length; i++) list += (i > 0 ? ',' : '') + canonicalJson(value[i]);
    return `[${list}]`;
  }
  let fields = '';
  for (const key of Object.keys(value).sort()) {
    const item = (value as Record<string, unknown>)[key];
    if (item === undefined) continue;
    fields += `${fields === '' ? '' : ','}${JSON.stringify(key)}:${canonicalJson(item)}`;
  }
  return `{${fields}}`;
}
