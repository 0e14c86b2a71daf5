// The package's own bundle, the one file of it that every runtime can load.
declare module 'quickhull3d/dist/quickhull3d.js' {
  export * from 'quickhull3d';
  export { default } from 'quickhull3d';
}
