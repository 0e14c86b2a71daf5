import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Figure } from './figures';

/** What a first visit has to load, packed as it is sent, where the pages are built: script, type and page. */
export function firstLoad(): Figure[] {
  const folder = path.join(__dirname, 'web');
  const page = path.join(folder, 'index.html');
  if (!existsSync(page)) return [];
  const named = [...readFileSync(page, 'utf8').matchAll(/<script src="([^"]+)"/g)];
  const scripts = named.map(([, name]) => path.join(folder, name));
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' });
  const all = (kind: RegExp) =>
    files.filter((file) => kind.test(file)).map((file) => path.join(folder, file));
  const first = sent([page, ...scripts, ...all(/\.ttf$/)]);
  const figure = (key: string, label: string, bytes: number, goal = ''): Figure => ({
    key,
    label,
    value: bytes / 1e6,
    unit: 'MB',
    goal,
  });
  return [
    figure('firstLoad', 'First load of a page without a scene, on the wire', first, 'at most 1'),
    figure('firstLoadScene', '… of a page with one', first + sent(all(/\/screens-[^/]+\.js$/))),
  ];
}

const sent = (files: readonly string[]): number =>
  files.reduce((sum, file) => sum + statSync(`${file}.br`).size, 0);
