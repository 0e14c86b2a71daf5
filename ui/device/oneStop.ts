import { createTabster, getMover, getTabster, getTabsterAttribute } from 'tabster';

type Told = Parameters<typeof getTabsterAttribute>[0];

/** What a view is given so that the keys of the web know what it is. The native types do not know of it. */
const told = (what: Told): object => ({
  dataSet: { tabster: getTabsterAttribute(what)['data-tabster'] },
});

/** Buttons that are one stop of the Tab key: arrow keys go on from one to the next. */
export const ONE_STOP = told({ mover: {} });
/** The button of such a group that Tab comes to. */
export const FIRST_STOP = told({ focusable: { isDefault: true } });

/** Makes groups of buttons one stop each on all pages. */
export function startOneStops(): void {
  if (getTabster(window)) return;
  getMover(createTabster(window, { autoRoot: {} }));
}
