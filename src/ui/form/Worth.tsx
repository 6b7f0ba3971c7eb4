import { NumberBox } from './NumberBox';

/** The box for what one of a currency is worth in another, as somebody says: nothing is fetched. */
export function worthBox(of: string, currency: string) {
  return { label: `One ${of} is`, unit: currency, min: 0.000001, width: 130 };
}

/** What is said already: it may be said otherwise, not left empty. */
export function Worth({
  of,
  currency,
  value,
  onChange,
}: {
  of: string;
  currency: string;
  value: number;
  onChange: (worth: number) => void;
}) {
  return (
    <NumberBox
      {...worthBox(of, currency)}
      value={Number(value.toPrecision(6))}
      onChange={(worth) => worth !== null && onChange(worth)}
    />
  );
}
