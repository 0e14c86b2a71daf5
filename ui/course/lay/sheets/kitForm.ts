import * as v from 'valibot';

/** What an assembly of the kit may be called. */
export const KitForm = v.object({
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'Give it a name.'), v.maxLength(60)),
});
