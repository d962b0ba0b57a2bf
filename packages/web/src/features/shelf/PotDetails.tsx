import type { ShelfView } from '@sardonyx/contract';
import {
  computeContrastRatio,
  computeDropMl,
  isOutsideModel,
  learnDryingShift,
  POT_MOVES,
  type PaintPot,
  type PaintProduct,
  surfaceOf,
} from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useGetPotLogQuery, useMovePotMutation } from '../../shared/api/stockApi.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { sayAmount } from '../../shared/sayAmount.ts';
import { MoveForm } from '../../shared/stock/MoveForm.tsx';
import { MoveLog } from '../../shared/stock/MoveLog.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import { DryingSheetForm } from './DryingSheetForm.tsx';

const BASIS: Readonly<Record<string, string>> = {
  drawdowns: 'Drawn down and fitted: masstone and tints.',
  'mixed here': 'Mixed here: from its recipe, with what the patches taught.',
  masstone: 'Its thick film was measured; how well it covers is a planning estimate.',
  'colour only': 'Only its colour is known: mixes from it are guesses that the first patch corrects.',
};

interface PotDetailsProps {
  readonly product: PaintProduct;
  readonly pots: readonly PaintPot[];
  readonly shelf: ShelfView;
}

/** One paint unfolded: its pots, its numbers, what is known of its colour, its recipe. */
export function PotDetails({ product, pots, shelf }: PotDetailsProps) {
  const dried = shelf.dried.filter((one) => one.line === product.line);
  const { shift, sd, pairs } = learnDryingShift(dried, product.gloss);
  return (
    <div className="space-y-3 py-3 pl-[4.5rem]">
      <p>
        {isOutsideModel(product.gloss)
          ? 'Outside what can be calculated: it looks different from every side. Compare a test card.'
          : BASIS[product.optics?.basis ?? 'colour only']}
      </p>
      <Covering product={product} />
      {!isOutsideModel(product.gloss) && (
        <p className="text-note text-soft-ink">
          Wet to dry: L* {shift[0] < 0 ? '−' : '+'}
          {Math.abs(shift[0]).toFixed(1)} ± {sd[0].toFixed(1)} (
          {pairs === 0 ? 'planning estimate by its sheen' : `learned from ${pairs} of ${product.line}`}).
        </p>
      )}
      <p>
        <Link className="underline underline-offset-4" to={`/catalogue?paint=${product.id}`}>
          Castings with this paint on them
        </Link>
      </p>
      {product.recipe && (
        <ul>
          {product.recipe.map((line) => (
            <li key={line.productId}>
              <span className="figure">{line.ml.toFixed(2)} ml</span> {line.name}
            </li>
          ))}
        </ul>
      )}
      {pots.map((pot) => (
        <PotInHand key={pot.id} pot={pot} name={product.name} />
      ))}
      <div className="grid max-w-3xl gap-4 sm:grid-cols-3">
        <Autosaved kind="paint-products" row={product} field="dropMl" type="number" label="One drop, ml" />
        <Autosaved kind="paint-products" row={product} field="densityGPerMl" type="number" label="Density, g/ml" />
        <Autosaved kind="paint-products" row={product} field="pricePerMl" type="number" label="Price per ml" />
      </div>
      <WeighDrops product={product} />
      <Fold title="How its coats dry">
        <div className="max-w-3xl py-2">
          <DryingSheetForm product={product} />
        </div>
      </Fold>
    </div>
  );
}

/** A pot: how much is in it, what happened to it, where it stands. */
function PotInHand({ pot, name }: { readonly pot: PaintPot; readonly name: string }) {
  const { data: log } = useGetPotLogQuery(pot.id);
  const [send, { error, isLoading, reset }] = useMovePotMutation();
  return (
    <section aria-label={`The pot of ${name}`} className="max-w-4xl space-y-3 border-t border-hairline pt-3">
      <p>
        <strong className="figure">{sayAmount(pot.leftMl, 'ml')}</strong> left. Coats and mixes take theirs when they
        are logged; what was spilt, bought or counted is written down here.
      </p>
      <MoveForm
        name={name}
        unit="ml"
        moves={POT_MOVES}
        first="counted"
        isSending={isLoading}
        error={error}
        onForget={reset}
        onSend={async (line) => (await send({ potId: pot.id, ...line })).data !== undefined}
      />
      <MoveLog log={log} unit="ml" />
      <div className="grid max-w-3xl gap-4 sm:grid-cols-3">
        <Autosaved kind="paint-pots" row={pot} field="place" label="Where it stands" />
        <Autosaved kind="paint-pots" row={pot} field="openedOn" type="date" label="Opened on" />
      </div>
    </section>
  );
}

/** How well one coat covers, from what was drawn down; nothing where scattering would be a guess. */
function Covering({ product }: { readonly product: PaintProduct }) {
  const { optics, dryFilmUm } = product;
  if (!optics || optics.basis === 'masstone' || optics.basis === 'colour only') return null;
  const { ratio, isHiding } = computeContrastRatio(optics, dryFilmUm, surfaceOf('gloss left out'));
  return (
    <p>
      One coat of {dryFilmUm} µm {isHiding ? 'hides' : 'lets the ground through'}: over black it is{' '}
      {Math.round(100 * ratio)} % as bright as over white, 98 % counts as hidden.
    </p>
  );
}

const WEIGHED = 20;

/** A drop is what twenty of them weigh. */
function WeighDrops({ product }: { readonly product: PaintProduct }) {
  const dispatch = useAppDispatch();
  const [grams, setGrams] = useState('');
  const ml = computeDropMl(Number(grams.replace(',', '.')), WEIGHED, product.densityGPerMl);
  const save = async () => {
    const changes = { dropMl: Number(ml!.toFixed(4)) };
    await dispatch(
      changeRow({ kind: 'paint-products', row: product, changes, label: `drop of ${product.name}` }),
    ).unwrap();
    setGrams('');
  };
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label>
        <span className="block text-note">{WEIGHED} drops weigh, g</span>
        <input
          style={{ width: '7rem' }}
          inputMode="decimal"
          value={grams}
          onChange={(event) => setGrams(event.target.value)}
        />
      </label>
      <button type="button" className="plain-button" disabled={ml === null} onClick={() => void save()}>
        {ml === null ? 'Take it over' : `Take over ${ml.toFixed(3)} ml a drop`}
      </button>
      <p className="text-note text-soft-ink">Until somebody weighed them, a drop is a planning estimate.</p>
    </div>
  );
}
