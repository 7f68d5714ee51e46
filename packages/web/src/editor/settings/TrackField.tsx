import { TextField } from '../../ui/TextField';
import { readTrackSize, trackSizeProblem } from '../fields/trackSize';

interface TrackFieldProps {
  readonly name: string;
  readonly value: string;
  readonly onSet: (size: string) => void;
}

/** A track size as CSS writes it. */
export const TrackField = ({ name, value, onSet }: TrackFieldProps) => (
  <TextField
    name={name}
    value={value}
    title="Size of every row after those: 160px, auto, 1fr …"
    className="figures"
    problem={trackSizeProblem}
    onSet={(text) => {
      const size = readTrackSize(text);
      if (size !== null && size !== value) onSet(size);
    }}
  />
);
