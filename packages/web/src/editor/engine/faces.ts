import { fontsOf, shippedFamily, type CollectionDocument, type Font, type FontUse } from '@noria/core';
import { fontAddress, shippedFontAddress } from '../../api/fonts';

/** A font file, and what the browser has to be told of it. */
export interface WantedFace {
  readonly family: string;
  readonly address: string;
  readonly descriptors: FontFaceDescriptors;
}

/**
 * What a family is called with features or axes set. A canvas, which words are measured with, can be told of
 * neither, but a face can; words are shown by the family’s own name, with the settings in their CSS.
 */
export const faceName = (family: string, { features, axes }: Pick<Font, 'features' | 'axes'>): string =>
  features === 'normal' && axes === 'normal'
    ? family
    : `${family} ${[features, axes].join(' ').replace(/[^A-Za-z0-9.-]+/g, '_')}`;

const settingsOf = ({ features, axes }: FontUse): FontFaceDescriptors => ({
  ...(features !== 'normal' && { featureSettings: features }),
  ...(axes !== 'normal' && { variationSettings: axes }),
});

/** The faces of a font; none where the device has it. */
function facesOfUse({ families }: Pick<CollectionDocument, 'families'>, use: FontUse): WantedFace[] {
  const { family } = use;
  const shipped = shippedFamily(family);
  const files = shipped
    ? shipped.files.map(({ file, style, unicodeRange }) => ({
        address: shippedFontAddress(file),
        descriptors: { style, unicodeRange, weight: shipped.weights },
      }))
    : (families?.[family]?.faces ?? []).map((face) => ({
        address: fontAddress(face),
        descriptors: { style: face.style, weight: face.weight.join(' ') },
      }));
  return files.map(({ address, descriptors }) => ({
    family: faceName(family, use),
    address,
    descriptors: { ...descriptors, ...settingsOf(use), display: 'swap' },
  }));
}

const PLAIN = { features: 'normal', axes: 'normal' };

/** The faces that a family is shown in, without any settings. */
export const plainFaces = (
  document: Pick<CollectionDocument, 'families'>,
  families: readonly string[],
): WantedFace[] => families.flatMap((family) => facesOfUse(document, { family, ...PLAIN }));

/** Every face that the words of a collection are shown and measured in. */
export const facesOf = (document: CollectionDocument): WantedFace[] =>
  fontsOf(document).flatMap((use) => facesOfUse(document, use));
