export * from './box'
export * from './point'
export * from './polygon'
export * from './homography'
