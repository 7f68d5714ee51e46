import {
  familyCss,
  LIMITS,
  SCALE_STEPS,
  scaleStep,
  setCollectionLook,
  setNamedLook,
  typeScale,
  type ScaleEnd,
} from '@noria/core';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { announce } from '../../ui/notices/noticesSlice';
import { Row, Section } from '../../ui/Rows';
import { run } from '../document/run';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectShared } from '../selectors';

/** The largest letters that there is room for, px. */
const LARGEST_SHOWN = 19;

/** Named type sizes in steps of one ratio, at narrow widths and at wide ones. */
export function TypeScaleMaker() {
  const dispatch = useAppDispatch();
  const { look } = useAppSelector(selectShared);
  const [narrow, setNarrow] = useState<ScaleEnd>({ base: 15, ratio: 1.2 });
  const [wide, setWide] = useState<ScaleEnd>({ base: 16, ratio: 1.25 });
  const lay = () => {
    dispatch(
      run('Type scale', (draft) => {
        for (const size of typeScale(narrow, wide)) setNamedLook(size)(draft);
        setCollectionLook({ bodySize: '{text}', headingSize: '{heading}' })(draft);
      }),
    );
    dispatch(announce('The type scale is applied. Its sizes are among the named ones.'));
  };
  return (
    <Section title="Type scale">
      <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
        <End label="At 360 px" end={narrow} onSet={setNarrow} />
        <End label="At 1280 px" end={wide} onSet={setWide} />
        <ol aria-label="Steps of the scale" className="grid gap-0.5 rounded-s bg-field px-2.5 py-2">
          {SCALE_STEPS.toReversed().map(({ id, name, step }) => (
            <li key={id} className="flex items-baseline justify-between gap-3">
              <span
                className="truncate leading-[1.15]"
                style={{
                  // What is larger than this is cut, and its figure says what it is.
                  fontSize: Math.min(LARGEST_SHOWN, scaleStep(wide, step)),
                  fontFamily: familyCss(step > 1 ? look.headingFamily : look.bodyFamily),
                }}
              >
                {name}
              </span>
              <span className="figures flex-none text-xs text-soft">
                {sizes(scaleStep(narrow, step), scaleStep(wide, step))}
              </span>
            </li>
          ))}
        </ol>
        <Button className="justify-self-start" onClick={lay}>
          Apply type scale
        </Button>
      </div>
    </Section>
  );
}

const sizes = (from: number, to: number) => (from === to ? `${to}` : `${from} to ${to}`);

interface EndProps {
  readonly label: string;
  readonly end: ScaleEnd;
  readonly onSet: (end: ScaleEnd) => void;
}

const End = ({ label, end, onSet }: EndProps) => (
  <Row label={label} help="Size of the running text, and how much larger each step is than the one below">
    <div className="grid grid-cols-2 gap-1">
      <NumberField
        name={`Text size, ${label.toLowerCase()}`}
        value={end.base}
        least={LIMITS.typeSize.min}
        most={60}
        unit="px"
        whole={false}
        by={0.5}
        onSet={(base) => onSet({ ...end, base })}
      />
      <NumberField
        name={`Ratio, ${label.toLowerCase()}`}
        value={end.ratio}
        least={1}
        most={2}
        unit="ratio"
        whole={false}
        by={0.01}
        onSet={(ratio) => onSet({ ...end, ratio: Math.round(ratio * 1000) / 1000 })}
      />
    </div>
  </Row>
);
