import type { Knex } from 'knex';
import { looksOf } from './frozen';

/**
 * Names are told from those that look like them; devices that signed in are known; whoever writes notes can be kept
 * out; earlier versions count with what a maker keeps.
 */
export const people: Knex.Migration = {
  async up(knex) {
    await knex.schema.alterTable('makers', (t) => {
      /** The name as it looks, small letters as such and all letters as they are; see names. */
      t.text('look_small').index();
      t.text('look_as_is').index();
    });
    for (const { id, name } of await knex('makers').whereNotNull('name').select('id', 'name')) {
      await knex('makers').where({ id }).update(looksOf(name));
    }
    // One early version counted no tries.
    if (!('begun' in (await knex('attempts').columnInfo()))) {
      await knex.schema.alterTable('attempts', (t) =>
        t.integer('begun').notNullable().defaultTo(0),
      );
    }
    // Databases in which names were told apart have it already.
    if (!('former_key' in (await knex('makers').columnInfo()))) {
      await knex.schema.alterTable('makers', (t) => void t.text('former_key').index());
    }
    await knex.schema.alterTable('editions', (t) => {
      /** The digest of its document; null until it has one. */
      t.text('look');
    });
    await knex.schema.createTable('devices', (t) => {
      /** Of a cookie that stays when the session ends. */
      t.text('digest').primary();
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.integer('used').notNullable();
      t.index(['maker']);
    });
    await knex.schema.createTable('blocks', (t) => {
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.text('blocked').notNullable().references('makers.id').onDelete('CASCADE');
      t.integer('made').notNullable();
      t.primary(['maker', 'blocked']);
    });
    await knex.schema.createTable('whole_pieces', (t) => {
      /** Of a course that its maker keeps whole, by its pieces; see threads/copies. */
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.text('mark').notNullable();
      t.primary(['slug', 'mark']);
      t.index(['mark']);
    });
    await knex.schema.alterTable('courses', (t) => {
      /** Bytes of its earlier versions, packed. */
      t.integer('versions_bytes').notNullable().defaultTo(0);
    });
    await knex.raw(
      'update courses set versions_bytes = ' +
        '(select coalesce(sum(length(document)), 0) from versions where versions.course = courses.id)',
    );
  },
  async down(knex) {
    await knex.schema.alterTable('courses', (t) => t.dropColumn('versions_bytes'));
    await knex.schema.dropTable('whole_pieces');
    await knex.schema.dropTable('blocks');
    await knex.schema.dropTable('devices');
    await knex.schema.alterTable('editions', (t) => t.dropColumn('look'));
    await knex.schema.alterTable('makers', (t) => {
      t.dropIndex(['look_small']);
      t.dropIndex(['look_as_is']);
      t.dropColumns('look_small', 'look_as_is');
    });
  },
};
