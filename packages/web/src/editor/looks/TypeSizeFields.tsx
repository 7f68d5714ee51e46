import { LIMITS, namedIn, refer, typeSizeOf, type Command, type FluidSize, type TypeSize } from '@noria/core';
import { useAppSelector } from '../hooks';
import { selectShared } from '../selectors';
import { Choice } from '../../ui/Choice';
import { Row } from '../../ui/Rows';
import { SetLength } from '../settings/SetLength';
import { SetNumber, type SetNumberProps } from '../settings/SetNumber';

type NumberLabel = SetNumberProps['field'];

interface TypeSizeFieldsProps {
  readonly field: NumberLabel;
  readonly value: TypeSize;
  readonly command: (value: TypeSize) => Command;
  readonly onSet: (value: TypeSize) => void;
  readonly setHere?: boolean;
  readonly onInherit?: () => void;
}

/** A type size: so many px, growing between two widths, or by a name. */
export function TypeSizeFields({
  field,
  value,
  command,
  onSet,
  setHere = false,
  onInherit,
}: TypeSizeFieldsProps) {
  const { label } = field;
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
      <Row label={label} setHere={setHere} {...(onInherit && { onInherit })}>
        <div className="grid grid-cols-2 gap-1">
          {kind === 'fixed' ? (
            <SetLength
              field={field}
              name={null}
              value={typeof value === 'object' ? px : value}
              whole={false}
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
            field={field}
            size={value.from}
            width={value.fromWidth}
            command={(from, fromWidth) => command({ ...value, from, fromWidth })}
          />
          <FluidEnd
            label="To"
            field={field}
            size={value.to}
            width={value.toWidth}
            command={(to, toWidth) => command({ ...value, to, toWidth })}
          />
        </>
      )}
    </>
  );
}

interface FluidEndProps {
  readonly label: string;
  readonly field: NumberLabel;
  readonly size: number;
  readonly width: number;
  readonly command: (size: number, width: number) => Command;
}

function FluidEnd({ label, field, size, width, command }: FluidEndProps) {
  return (
    <Row label={label}>
      <div className="grid grid-cols-2 gap-1">
        <SetNumber
          field={field}
          name={`${field.label}, ${label.toLowerCase()}`}
          value={size}
          whole={false}
          command={(next) => command(next, width)}
        />
        <SetNumber
          field={{ ...field, unit: 'px page', least: LIMITS.narrowest, most: 10_000 }}
          name={`${field.label}, ${label.toLowerCase()}, width of the page`}
          value={width}
          command={(next) => command(size, next)}
        />
      </div>
    </Row>
  );
}
