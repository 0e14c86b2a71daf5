import { router, type Href } from 'expo-router';

// The addresses of all pages; a page that moves is moved here.

const part = encodeURIComponent;

/** What a page is told behind its address; what is left out is not told. */
const asked = (params: Readonly<Record<string, string | undefined>>): string => {
  const said = Object.entries(params).filter(
    (one): one is [string, string] => one[1] !== undefined,
  );
  return said.length === 0 ? '' : `?${new URLSearchParams(said)}`;
};

export const coursePage = (id: string, phase?: 'plan' | 'lay' | 'tune' | 'share'): Href =>
  `/course/${part(id)}${asked({ phase })}`;
/** @param from what the run begins with, as `?moment=…`; nothing for the start */
export const runPage = (id: string, from = ''): Href => `/course/${part(id)}/run${from}`;
export const timesPage = (id: string): Href => `/course/${part(id)}/times`;
/** @param at seconds into the run */
export const watchPage = (id: string, run: string, at?: number): Href =>
  `/course/${part(id)}/watch${asked({ run, at: at?.toFixed(2) })}`;
export const playPage = (slug: string): Href => `/play/${part(slug)}`;
/** @param series the series that it is played as a part of */
export const playRunPage = (slug: string, series?: string): Href =>
  `/play/${part(slug)}/run${asked({ series })}`;
export const seriesPage = (id: string, change = false): Href =>
  `/series/${part(id)}${asked({ change: change ? 'yes' : undefined })}`;
export const makerPage = (name: string): Href => `/maker/${part(name)}`;
export const COURSES_PAGE: Href = '/';
export const SERIES_PAGE: Href = '/series';
export const EXPLORE_PAGE: Href = '/explore';
export const HELP_PAGE: Href = '/help';

/** Goes back to the page before; to another one for whoever came here by a link. */
export const goBack = (otherwise: Href): void =>
  router.canGoBack() ? router.back() : router.replace(otherwise);
