import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { answering, at, kitchenView } from '../../test-kitchen';
import { SafetyPlace } from './SafetyPlace';

const page = (code: Schemas['FoodCode']): Schemas['SafetyPage'] => ({
  defers: 'Your local food code comes first.',
  code,
  codes: [
    { code: 'usual', name: 'None of these', words: 'hot at 63', hot_hold_c: 63, reheat_c: 75, cold_c: 5 },
    { code: 'scotland', name: 'Scotland', words: 'hot at 63, 82', hot_hold_c: 63, reheat_c: 82, cold_c: 8 },
  ],
  parts: [
    {
      name: 'Held, cooled, kept',
      lines: [
        {
          text: code === 'scotland' ? 'Until its middle is 82 °C.' : 'Until its middle is 75 °C.',
          source: 'published',
          source_words: 'published guidance',
        },
      ],
    },
  ],
});

afterEach(() => vi.unstubAllGlobals());

it('names the figures of the code that is chosen, which is kept with the kitchen', async () => {
  let code: Schemas['FoodCode'] = 'usual';
  const { bodies } = answering({
    '/api/kitchen': (body) => {
      const sent = body as Schemas['KitchenView'] | undefined;
      code = sent?.kitchen.food_code ?? code;
      return { body: sent ? { version: 2, kitchen: sent.kitchen } : kitchenView() };
    },
    '/api/safety': () => ({ body: page(code) }),
  });
  at(<SafetyPlace />, '/safety', '/safety');
  expect(await screen.findByText('Until its middle is 75 °C.')).toBeInTheDocument();
  expect(screen.getByText('published guidance')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('radio', { name: /Scotland/ }));
  await waitFor(() =>
    expect(bodies('/api/kitchen').at(-1)).toMatchObject({ kitchen: { food_code: 'scotland' } }),
  );
  expect(await screen.findByText('Until its middle is 82 °C.')).toBeInTheDocument();
});

it('says so where the kitchen does not answer', async () => {
  answering({ '/api/kitchen': () => ({ body: kitchenView() }) });
  at(<SafetyPlace />, '/safety', '/safety');
  expect(await screen.findByRole('alert')).toBeInTheDocument();
});
