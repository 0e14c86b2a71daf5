import type { Knex } from 'knex';

/**
 * Moves documents out of the table of courses. One early version kept them there; all other databases stay as they are.
 */
export const apart: Knex.Migration = {
  async up(knex) {
    if (!(await knex.schema.hasTable('bodies'))) {
      await knex.schema.createTable('bodies', (t) => {
        t.text('course').primary().references('courses.id').onDelete('CASCADE');
        t.text('document').notNullable();
        t.text('picture');
        t.text('proof');
      });
      await knex.schema.alterTable('courses', (t) => t.index(['maker', 'bytes']));
      await knex.raw(
        'insert into bodies (course, document, proof) select id, document, proof from courses',
      );
    }
    const there = await knex('courses').columnInfo();
    for (const column of ['document', 'proof', 'picture']) {
      // Taken out in place: a table made anew would take along what belongs to the old one.
      if (column in there) {
        await knex.raw(`alter table courses drop column ${column}`);
      }
    }
    if (!('length' in (await knex('published').columnInfo()))) {
      await knex.schema.alterTable('published', (t) =>
        t.float('length').notNullable().defaultTo(0),
      );
      await knex.raw(
        'update published set length = (select length from courses where courses.id = published.course)',
      );
    }
  },
  async down() {
    // There is nothing to go back to.
  },
};
