export { RibbonDrawing } from './RibbonDrawing';
export { RibbonSlider, type RibbonSliderProps } from './RibbonSlider';
export { endsAlong, type EndsAlong } from './ends';
export { FOOT, HEIGHT, nearest, type Profile, ribbonScales, SIDE, stationAt } from './scales';
