export const MOSAIC = {
  shareOfLarge: {
    label: 'Large share',
    help: 'How many of the pictures are large',
    unit: '% of the pictures',
    least: 0,
    most: 100,
  },
  maxCrop: {
    label: 'Crop',
    help: 'The most of a picture that is cropped away',
    unit: '% at most',
    least: 0,
    most: 90,
  },
  seed: { label: 'Seed', help: 'The same seed gives the same mosaic', least: 0, most: 999_999 },
} as const;
