import { useSearchParams } from 'react-router';
import { Toggles } from '../../shared/ui/Toggles.tsx';

/** The bench as its models, or as what they lack; kept in the address. */
export function LanesOrWants({ wanted }: { readonly wanted: number }) {
  const [params, setParams] = useSearchParams();
  return (
    <Toggles
      aria-label="See"
      value={params.get('as') === 'wants'}
      options={[
        { value: false, label: 'Models' },
        { value: true, label: `Wants (${wanted})` },
      ]}
      onChange={(asWants) => setParams(asWants ? { as: 'wants' } : {}, { replace: true })}
    />
  );
}
