export * from './RibbonDrawing';
export * from './RibbonSlider';
export * from './ends';
export * from './scales';
