import { LIMITS, namedIn, refer, typeSizeOf, type Command, type FluidSize, type TypeSize } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectShared } from '../selectors';
import { Choice } from '../../ui/Choice';
import { Row } from '../../ui/Rows';
import { SetNumber } from '../settings/SetNumber';

interface TypeSizeFieldsProps {
  readonly label: string;
  readonly value: TypeSize;
  readonly step: string;
  readonly command: (value: TypeSize) => Command;
  readonly onSet: (value: TypeSize) => void;
  readonly setHere?: boolean;
  readonly onCarry?: () => void;
}

/** A type size: so many px, growing between two widths, or by a name. */
export function TypeSizeFields({
  label,
  value,
  step,
  command,
  onSet,
  setHere = false,
  onCarry,
}: TypeSizeFieldsProps) {
  const { namedLooks } = useAppSelector(selectShared);
  const steps = Object.values(namedLooks).filter((look) => look.kind === 'type');
  const followed = namedIn(value);
  const said = typeSizeOf(namedLooks, value);
  const kind = followed ?? (typeof value === 'object' ? 'grows' : 'fixed');
  const px = typeof said === 'object' ? said.to : said;
  const fluid: FluidSize =
    typeof said === 'object' ? said : { from: Math.round(px * 0.7), to: px, fromWidth: 360, toWidth: 1440 };
  return (
    <>
      <Row label={label} setHere={setHere} {...(onCarry && { onCarry })}>
        <div className="grid grid-cols-2 gap-1">
          {kind === 'fixed' ? (
            <SetNumber
              name={label}
              value={px}
              least={LIMITS.typeSize.min}
              most={LIMITS.typeSize.max}
              whole={false}
              unit="px"
              step={step}
              command={command}
            />
          ) : (
            <span className="figures flex h-[26px] items-center rounded-s bg-field px-2 text-soft">
              {typeof said === 'object' ? `${said.from}–${said.to}` : said} px
            </span>
          )}
          <Choice
            name={`${label}, how`}
            value={kind}
            choices={[
              { value: 'fixed', label: 'Fixed' },
              { value: 'grows', label: 'Fluid' },
              ...steps.map((look) => ({ value: look.id, label: look.name })),
            ]}
            onChoose={(next) => onSet(next === 'fixed' ? px : next === 'grows' ? fluid : refer(next))}
          />
        </div>
      </Row>
      {typeof value === 'object' && (
        <>
          <FluidEnd
            label="From"
            name={`${label} when narrow`}
            size={value.from}
            width={value.fromWidth}
            step={step}
            command={(from, fromWidth) => command({ ...value, from, fromWidth })}
          />
          <FluidEnd
            label="To"
            name={`${label} when wide`}
            size={value.to}
            width={value.toWidth}
            step={step}
            command={(to, toWidth) => command({ ...value, to, toWidth })}
          />
        </>
      )}
    </>
  );
}

interface FluidEndProps {
  readonly label: string;
  readonly name: string;
  readonly size: number;
  readonly width: number;
  readonly step: string;
  readonly command: (size: number, width: number) => Command;
}

function FluidEnd({ label, name, size, width, step, command }: FluidEndProps) {
  return (
    <Row label={label}>
      <div className="grid grid-cols-2 gap-1">
        <SetNumber
          name={name}
          value={size}
          least={LIMITS.typeSize.min}
          most={LIMITS.typeSize.max}
          whole={false}
          unit="px"
          step={step}
          command={(next) => command(next, width)}
        />
        <SetNumber
          name={`${name}: page width`}
          value={width}
          least={LIMITS.narrowest}
          most={10_000}
          unit="at"
          step={step}
          command={(next) => command(size, next)}
        />
      </div>
    </Row>
  );
}
