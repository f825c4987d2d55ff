import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, made, type Schemas } from '../api/client';

interface Props {
  /** What the order called it. */
  called: string;
  /** The offer that was chosen for it. */
  offer: Schemas['OfferView'];
  onDone: () => void;
}

/** Has an offer known by the name that an order called it, so that the next one needs no choosing. */
export function LearnName({ called, offer, onDone }: Props) {
  const cache = useQueryClient();
  const learn = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/offers/{id}', {
          params: { path: { id: offer.id }, ...made(offer.revision) },
          body: { ...offer.offer, alsoCalled: [...offer.offer.alsoCalled, called] },
        }),
      ),
    onSuccess: () => {
      void cache.invalidateQueries({ queryKey: ['offers'] });
      void cache.invalidateQueries({ queryKey: ['orders'] });
      onDone();
    },
  });
  return (
    <p className="echo">
      <button type="button" className="quiet" disabled={learn.isPending} onClick={() => learn.mutate()}>
        Read “{called}” as {offer.offer.name} from now on
      </button>
      {learn.error && <span className="problem">{learn.error.message}</span>}
    </p>
  );
}
