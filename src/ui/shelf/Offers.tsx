import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import {
  counted,
  isStale,
  withOffer,
  withoutOffer,
  type Board,
  currencySign,
  euro,
  money,
  centsOf,
  currencyOf,
  plainMoney,
} from '@/core';
import { CurrencyIn, currencyMeant, isCurrency, NumberIn, TextIn } from '../form/in-form';
import { askServer } from '../room/ask-server';
import { useShelf } from '../room/use-shelf';
import { today } from '../room/today';
import { ForWriters } from '../room/ForWriters';

/** What shops ask for the board, when that was seen, and a way to ask again. */
export function Offers({
  board,
  changed,
  onFresh,
  onChange,
}: {
  board: Board;
  changed: boolean;
  onFresh: (b: Board) => void;
  onChange: (b: Board) => void;
}) {
  const { takeBoard } = useShelf();
  const day = today();
  const [said, setSaid] = useState<string | null>(null);
  const refresh = async () => {
    setSaid('The shops are being asked ...');
    const { said: answer } = await askServer<{ board: Board; version: number }>(
      `/api/offers/${board.id}`,
      { method: 'POST' },
      'The server does not answer. The offers stay as they are.',
    );
    setSaid(answer.sentence);
    if (answer.board) {
      takeBoard(answer.board, answer.version!);
      onFresh(answer.board);
    }
  };
  return (
    <section aria-label="Offers">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Offers
        </Typography>
        <ForWriters>
          <Button
            variant="outlined"
            disabled={changed}
            title={changed ? 'Save the board first' : undefined}
            onClick={() => void refresh()}
          >
            Ask the shops
          </Button>
        </ForWriters>
      </Box>
      {said && (
        <Box role="status" sx={{ fontSize: 12.5 }}>
          {said}
        </Box>
      )}
      {board.offers.length === 0 && (
        <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>Nobody offers it, as far as Rung knows.</Box>
      )}
      {board.offers.length > 0 && (
        <table>
          <tbody>
            {board.offers.map((o, i) => (
              <tr key={i}>
                <td style={{ whiteSpace: 'normal' }}>
                  {o.shop}
                  <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
                    {[
                      ...(o.deliveryDays === undefined ? [] : [counted(o.deliveryDays, 'day')]),
                      `seen ${o.seen}${isStale(o, day) ? ', stale' : ''}`,
                    ].join(', ')}
                  </Box>
                </td>
                <td className="n">
                  {money(o.cents, currencyOf(o))}
                  <Box sx={{ fontSize: 12.5, color: 'text.secondary' }}>
                    {o.shippingCents === null ? 'shipping not said' : `+ ${plainMoney(o.shippingCents)} shipping`}
                  </Box>
                </td>
                <td>
                  {o.typed && (
                    <ForWriters>
                      <Button
                        aria-label={`Take out the offer of ${o.shop}`}
                        sx={{ px: 0.5 }}
                        onClick={() => onChange(withoutOffer(board, o))}
                      >
                        Take out
                      </Button>
                    </ForWriters>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ForWriters>
        <TypeOffer onType={(offer) => onChange(withOffer(board, offer, day) ?? board)} />
      </ForWriters>
    </section>
  );
}

/** An offer that the buyer has seen somewhere. */
function TypeOffer({
  onType,
}: {
  onType: (offer: {
    shop: string;
    currency?: string;
    cents: number;
    shippingCents: number | null;
    deliveryDays?: number;
  }) => void;
}) {
  const { control, handleSubmit, reset, setFocus } = useForm({
    defaultValues: {
      shop: '',
      price: null as number | null,
      shipping: null as number | null,
      days: null as number | null,
      currency: euro as string,
    },
  });
  const currency = currencyMeant(useWatch({ control, name: 'currency' }));
  const add = handleSubmit(({ shop, price, shipping, days }) => {
    onType({
      shop: shop.trim(),
      ...(currency === euro ? {} : { currency }),
      cents: centsOf(price!),
      shippingCents: shipping === null ? null : centsOf(shipping),
      ...(days === null ? {} : { deliveryDays: days }),
    });
    setFocus('shop');
    reset({ shop: '', price: null, shipping: null, days: null, currency });
  });
  const unit = isCurrency(currency) ? currencySign(currency) : currency;
  return (
    <Box
      component="form"
      noValidate
      aria-label="An offer you have seen"
      onSubmit={add}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', mt: 0.5 }}
    >
      <TextIn control={control} name="shop" label="Shop" wanted="Say who offers it" sx={{ flex: 1 }} />
      <NumberIn control={control} name="price" label="Price" unit={unit} max={10_000} wanted="A price" width={70} />
      <NumberIn control={control} name="shipping" label="Shipping" unit={unit} max={1000} width={62} />
      <NumberIn control={control} name="days" label="Days" whole max={365} width={44} />
      <CurrencyIn control={control} name="currency" label="In" />
      <Button type="submit" sx={{ mt: 2 }}>
        Add
      </Button>
    </Box>
  );
}
