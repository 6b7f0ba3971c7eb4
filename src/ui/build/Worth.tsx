import { NumberBox } from './NumberBox';

/** What one of a currency is worth in another, as somebody says: nothing is fetched. `known`: it may not be left empty. */
export function Worth({
  of,
  currency,
  value,
  known = false,
  onChange,
}: {
  of: string;
  currency: string;
  value: number | null;
  known?: boolean;
  onChange: (worth: number | null) => void;
}) {
  return (
    <NumberBox
      label={`One ${of} is`}
      unit={currency}
      min={0.000001}
      mayBeUnknown={!known}
      empty=""
      value={value === null ? null : Number(value.toPrecision(6))}
      onChange={onChange}
      width={130}
    />
  );
}
