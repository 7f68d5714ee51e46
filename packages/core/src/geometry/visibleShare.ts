/**
 * The part of a picture that shows in a slot that it covers: min(a ÷ s, s ÷ a).
 * @param aspect inline ÷ block of the picture, above 0
 * @param slot inline ÷ block of the slot, above 0
 * @returns above 0, at most 1
 */
export const visibleShare = (aspect: number, slot: number): number =>
  aspect < slot ? aspect / slot : slot / aspect;
