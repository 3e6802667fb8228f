import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../../api/client';
import { open, plan } from '../../test-kitchen';
import { OWN_TABLE, TableField } from '../../ui/TableField';
import { RecipeFile } from './RecipeFile';

afterEach(() => vi.restoreAllMocks());

const choose = (text: string) =>
  fireEvent.change(screen.getByLabelText('Bring in a recipe file'), {
    target: { files: [new File([text], 'stew.json', { type: 'application/ld+json' })] },
  });

describe('a recipe from a file', () => {
  it('becomes a dish of its own, and opens on the bench', async () => {
    const read = vi
      .spyOn(api, 'readRecipe')
      .mockResolvedValue({ plan: plan({ name: 'Ridge stew' }), doubts: ['?'] });
    const save = vi.spyOn(api, 'savePlan').mockResolvedValue({} as Schemas['PlanView']);
    const { router } = open(<RecipeFile />, '/match');
    choose('{"@type": "Recipe"}');
    await waitFor(() => expect(router.state.location.pathname).toMatch(/^\/prepare\/[0-9a-f-]{36}$/));
    expect(read).toHaveBeenCalledWith({ '@type': 'Recipe' });
    expect(save).toHaveBeenCalledWith(expect.any(String), 0, expect.objectContaining({ name: 'Ridge stew' }));
  });

  it('that is none says so where it was chosen', async () => {
    const read = vi.spyOn(api, 'readRecipe');
    const { router } = open(<RecipeFile />, '/match');
    choose('<html>');
    expect(await screen.findByText(/stew.json is no JSON/)).toBeInTheDocument();
    expect(read).not.toHaveBeenCalled();
    expect(router.state.location.pathname).toBe('/match');
  });
});

describe('the table of a dish', () => {
  const meal = (id: string, serve_at: string): Schemas['MealEntry'] => ({
    id,
    name: `Table ${id}`,
    serve_at,
    people: 6,
    dishes: [],
  });

  it('is one of those to come, its own, or the one it is on', () => {
    const change = vi.fn();
    const now = Date.parse('2027-02-06T12:00:00Z');
    open(
      <TableField
        meals={[meal('past', '2027-02-05T18:00:00Z'), meal('next', '2027-02-07T18:00:00Z')]}
        value={OWN_TABLE}
        onChange={change}
        zone="UTC"
        now={now}
      />,
    );
    const field = screen.getByLabelText('On the table of');
    expect([...field.querySelectorAll('option')].map((option) => option.textContent)).toEqual([
      'A table of its own',
      'Table next, Sun 18:00',
    ]);
    fireEvent.change(field, { target: { value: 'next' } });
    expect(change).toHaveBeenCalledWith('next');
  });
});
