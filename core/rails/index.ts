/** Rails across the roof or up the slope, or lines of coupled frames without any, each inside its modules' clamp zones, and the limits they keep. */
export * from './expansion'
export * from './frames'
export * from './limits'
export * from './place'
export * from './rail'
export * from './typed'
export * from './up'
export * from './zone'
