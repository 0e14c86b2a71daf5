import type { Knex } from 'knex';
import { nameKey } from './frozen';

/** Gives each maker a name of their own as names are compared: of two that are the same now the later gets a number. */
export async function tellNamesApart(knex: Knex): Promise<void> {
  await knex.schema.alterTable('makers', (t) => {
    /** The name somebody had, as names are compared, before they got another that way. */
    t.text('former_key').index();
  });
  const taken = new Set<string>();
  const named = knex('makers').whereNotNull('name').orderBy(['created', 'id']);
  for (const { id, name } of await named.select('id', 'name')) {
    let [own, number] = [name as string, 1];
    while (taken.has(nameKey(own))) own = `${name} ${++number}`;
    taken.add(nameKey(own));
    const former = own === name ? null : nameKey(name);
    await knex('makers')
      .where({ id })
      .update({ name: own, name_key: nameKey(own), former_key: former });
  }
}
