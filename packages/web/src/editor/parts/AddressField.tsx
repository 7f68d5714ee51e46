import { typedAddress } from '@noria/core';
import { useAppDispatch } from '../hooks';
import { announce } from '../../ui/notices/noticesSlice';
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
export function AddressField({ name, hint, value, onSet }: AddressFieldProps) {
  const dispatch = useAppDispatch();
  return (
    <TextField
      {...(name !== undefined && { name })}
      placeholder={hint}
      value={value}
      takesNothing
      problem={(text) => typedAddress(text).trouble ?? null}
      onSet={(text) => {
        const { address = value } = typedAddress(text);
        if (address === value) return;
        onSet(address);
        if (address !== text.trim()) dispatch(announce(`It leads to ${address}.`));
      }}
    />
  );
}
