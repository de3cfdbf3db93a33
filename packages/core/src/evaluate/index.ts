export * from './evaluate'
export * from './whatMoved'
