import { colourOf, gradientCss, type CollectionDocument, type Fill } from '@noria/core';
import { addressFor } from '../../api/pictures';

type Known = Pick<CollectionDocument, 'namedLooks' | 'pictures'>;

/** A fill as CSS, for swatches and thumbnails outside of the stage: names are followed to their values. */
export function fillShown({ namedLooks, pictures }: Known, fill: Fill): string {
  if (fill === 'none') return 'transparent';
  if (typeof fill === 'string') return colourOf(namedLooks, fill);
  if (fill.kind !== 'picture') {
    const stops = fill.stops.map((stop) => ({ ...stop, colour: colourOf(namedLooks, stop.colour) }));
    return gradientCss({ ...fill, stops });
  }
  const picture = pictures[fill.picture];
  return picture ? `url("${addressFor(picture, 320)}") center / ${fill.fit ?? 'cover'} no-repeat` : '#999999';
}
