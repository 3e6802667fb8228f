import { useMemo } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { api, type Schemas } from '../../api/client';

/** What is explained: how the kitchen is asked for it, and the name the answer is kept under. */
export type Asked = { key: unknown[]; ask: (signal: AbortSignal) => Promise<Schemas['Why']> };

/** What is asked where nothing is said. */
const usual: Schemas['ForecastRequest'] = { cut: 'chuck', mass_kg: 1.4, method: 'braise' };

const read = (text: string): object | undefined => {
  try {
    const found: unknown = JSON.parse(text);
    return typeof found === 'object' && found !== null && !Array.isArray(found) ? found : undefined;
  } catch {
    return undefined;
  }
};

/** A kept plan or cook by its id; a plan or a question by the whole of it, which stands in the address. */
export function useAsked(): Asked | undefined {
  const { kind, id } = useParams();
  const [params] = useSearchParams();
  const [plan, question] = [params.get('p'), params.get('f')];
  return useMemo<Asked | undefined>(() => {
    if (id && (kind === 'plan' || kind === 'cook'))
      return {
        key: [kind === 'plan' ? 'plans' : 'cooks', id, 'why'],
        ask: (signal) => api.whyOf(kind, id, signal),
      };
    const found = read(plan ?? question ?? JSON.stringify(usual));
    if (!found) return undefined;
    return {
      key: ['why', found],
      // What an address asks is read by the kitchen, which names what does not fit.
      ask: (signal) => (plan ? api.whyPlan(found as Schemas['Plan'], signal) : api.why(found, signal)),
    };
  }, [kind, id, plan, question]);
}
