import { isAddress } from '@noria/core';
import { TextField } from '../../ui/TextField';

interface AddressFieldProps {
  /** Left out: the label of its row. */
  readonly name?: string;
  readonly hint: string;
  /** Empty: it leads nowhere. */
  readonly value: string;
  readonly onSet: (address: string) => void;
}

/** Where something leads. */
export const AddressField = ({ name, hint, value, onSet }: AddressFieldProps) => (
  <TextField
    {...(name !== undefined && { name })}
    placeholder={hint}
    value={value}
    takesNothing
    problem={(text) =>
      text.trim() === '' || isAddress(text.trim())
        ? null
        : 'Write https://…, mailto:, tel:, #part or a relative address.'
    }
    onSet={(text) => {
      if (text.trim() !== value) onSet(text.trim());
    }}
  />
);
