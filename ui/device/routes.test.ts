import {
  coursePage,
  goBack,
  makerPage,
  playRunPage,
  runPage,
  seriesPage,
  watchPage,
  COURSES_PAGE,
} from './routes';

const mockRouter = { canGoBack: jest.fn(), back: jest.fn(), replace: jest.fn() };
jest.mock('expo-router', () => ({
  get router() {
    return mockRouter;
  },
}));

test('what a page is told stands behind its address, and only that', () => {
  expect(coursePage('c1')).toBe('/course/c1');
  expect(coursePage('c1', 'tune')).toBe('/course/c1?phase=tune');
  expect(runPage('c1', '?moment=2')).toBe('/course/c1/run?moment=2');
  expect(watchPage('c1', 'best', 1.2345)).toBe('/course/c1/watch?run=best&at=1.23');
  expect(playRunPage('quay')).toBe('/play/quay/run');
  expect(playRunPage('quay', 's1')).toBe('/play/quay/run?series=s1');
  expect(seriesPage('s1', true)).toBe('/series/s1?change=yes');
});

test('a name of any letters stays one part of the address', () => {
  expect(makerPage('Isla/Bay & Søn')).toBe('/maker/Isla%2FBay%20%26%20S%C3%B8n');
});

test('back is the page before, or another one for whoever came by a link', () => {
  mockRouter.canGoBack.mockReturnValueOnce(true).mockReturnValueOnce(false);
  goBack(COURSES_PAGE);
  expect(mockRouter.back).toHaveBeenCalledTimes(1);
  expect(mockRouter.replace).not.toHaveBeenCalled();
  goBack(COURSES_PAGE);
  expect(mockRouter.replace).toHaveBeenCalledWith('/');
});
