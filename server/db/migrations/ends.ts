import type { Knex } from 'knex';

/** Where tries at published courses end, as players who agreed told it. */
export const ends: Knex.Migration = {
  async up(knex) {
    await knex.schema.createTable('ends', (t) => {
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.text('hash').notNullable();
      /** A place in steps of END_STEP. */
      t.integer('x').notNullable();
      t.integer('y').notNullable();
      t.integer('z').notNullable();
      t.integer('count').notNullable();
      t.primary(['slug', 'hash', 'x', 'y', 'z']);
    });
    await knex.schema.alterTable('attempts', (t) => {
      /** Whether it was told where it ended. */
      t.integer('told').notNullable().defaultTo(0);
    });
  },
  async down(knex) {
    await knex.schema.alterTable('attempts', (t) => t.dropColumn('told'));
    await knex.schema.dropTable('ends');
  },
};
