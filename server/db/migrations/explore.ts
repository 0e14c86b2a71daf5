import type { Knex } from 'knex';
import { UNNAMED } from './frozen';

/**
 * What published courses are found by, apart from their documents: SQLite reads through what is long in a row to what
 * stands behind it. Names and counts are kept right by the database itself, whoever changes what they follow from.
 */
export const explore: Knex.Migration = {
  async up(knex) {
    await knex.schema.createTable('listings', (t) => {
      t.increments('id');
      t.text('slug').notNullable().unique().references('published.slug').onDelete('CASCADE');
      t.text('course').notNullable().references('courses.id').onDelete('CASCADE');
      t.text('maker_id').notNullable();
      t.text('name').notNullable();
      t.text('description').notNullable().defaultTo('');
      t.text('maker').notNullable();
      t.text('kind').notNullable();
      t.text('runner').notNullable();
      t.float('length').notNullable();
      /** Of the proof. */
      t.float('time').notNullable();
      t.integer('strokes');
      t.text('hash').notNullable();
      t.integer('edition').notNullable().defaultTo(1);
      t.integer('tries').notNullable().defaultTo(0);
      t.integer('finishes').notNullable().defaultTo(0);
      t.integer('likes').notNullable().defaultTo(0);
      /** By how much of the best time the third is slower; null until three have finished. */
      t.float('closeness');
      t.integer('published').notNullable();
      /** Since when its maker has it down. */
      t.integer('taken');
      t.index(['course']);
      t.index(['maker_id']);
      for (const key of ['published', 'likes', 'tries', 'closeness']) t.index([key, 'id']);
    });
    await knex.schema.createTable('likes', (t) => {
      t.text('slug').notNullable().references('published.slug').onDelete('CASCADE');
      t.text('maker').notNullable().references('makers.id').onDelete('CASCADE');
      t.integer('made').notNullable();
      t.primary(['slug', 'maker']);
      t.index(['maker']);
    });
    await knex.schema.alterTable('attempts', (t) => {
      /** Whether it was begun to be run: some are given ahead. */
      t.integer('begun').notNullable().defaultTo(0);
    });
    await knex.raw(
      "create virtual table listing_words using fts5(name, description, maker, content='listings', content_rowid='id', " +
        "tokenize='unicode61 remove_diacritics 2', prefix='2 3')",
    );
    for (const trigger of TRIGGERS) await knex.raw(trigger);
    await knex.raw(
      'insert into listings (slug, course, maker_id, name, maker, kind, runner, length, time, strokes, hash, published, ' +
        'finishes, tries) ' +
        `select p.slug, c.id, m.id, c.name, coalesce(m.name, '${UNNAMED}'), c.kind, c.runner, p.length, ` +
        'coalesce(c.proof_time, 0), c.proof_strokes, p.hash, p.published, ' +
        '(select count(*) from runs r where r.slug = p.slug and r.hash = p.hash), ' +
        '(select count(*) from runs r where r.slug = p.slug and r.hash = p.hash) ' +
        'from published p join courses c on c.id = p.course join makers m on m.id = c.maker order by p.published',
    );
  },
  async down(knex) {
    for (const name of TRIGGER_NAMES) await knex.raw(`drop trigger ${name}`);
    await knex.schema.alterTable('attempts', (t) => t.dropColumn('begun'));
    await knex.schema.dropTable('listing_words');
    await knex.schema.dropTable('likes');
    await knex.schema.dropTable('listings');
  },
};

const words = (row: 'new' | 'old') => `${row}.id, ${row}.name, ${row}.description, ${row}.maker`;
const put =
  `insert into listing_words (rowid, name, description, maker) values (${words('new')});` as const;
const take =
  `insert into listing_words (listing_words, rowid, name, description, maker) values ('delete', ${words('old')});` as const;

const TRIGGER_NAMES = [
  ...['listings_put', 'listings_taken', 'listings_changed'],
  ...['likes_put', 'likes_taken', 'makers_named', 'courses_given'],
];
const TRIGGERS = [
  `create trigger listings_put after insert on listings begin ${put} end`,
  `create trigger listings_taken after delete on listings begin ${take} end`,
  `create trigger listings_changed after update of name, description, maker on listings begin ${take} ${put} end`,
  'create trigger likes_put after insert on likes begin update listings set likes = likes + 1 where slug = new.slug; end',
  'create trigger likes_taken after delete on likes begin update listings set likes = likes - 1 where slug = old.slug; end',
  `create trigger makers_named after update of name on makers begin update listings set maker = coalesce(new.name, '${UNNAMED}') where maker_id = new.id; end`,
  `create trigger courses_given after update of maker on courses begin update listings set maker_id = new.maker, maker = coalesce((select name from makers where id = new.maker), '${UNNAMED}') where course = new.id; end`,
];
