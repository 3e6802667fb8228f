import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, it, vi } from 'vitest';
import { open } from '../test-kitchen';
import { Photos } from './Photos';

const kept = vi.hoisted(() => new Map<string, string[]>());
const small = vi.hoisted(() => vi.fn());
vi.mock('../api/photos', () => ({
  MAX_PHOTOS: 2,
  photosOf: (cook: string) => Promise.resolve(kept.get(cook) ?? []),
  keepPhotos: (cook: string, photos: string[]) => Promise.resolve(void kept.set(cook, photos)),
  madeSmall: small,
}));

const file = (name: string) => new File(['x'], name, { type: 'image/png' });

beforeEach(() => {
  kept.clear();
  small.mockReset();
});

it('keeps photos with their cook, no more than there is room for, and lets them go', async () => {
  small.mockImplementation(({ name }: File) => Promise.resolve(`data:image/png;base64,${name}`));
  open(<Photos cook="shin" add />);
  const field = await screen.findByLabelText('Add a photo');
  await userEvent.upload(field, [file('one'), file('two'), file('three')]);
  await screen.findByAltText('Photo 2 of the cook');
  expect(kept.get('shin')).toHaveLength(2);
  expect(screen.queryByLabelText('Add a photo')).not.toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Take photo 1 away' }));
  await waitFor(() => expect(kept.get('shin')).toEqual(['data:image/png;base64,two']));
});

it('says what it could not read, and keeps the others', async () => {
  kept.set('shin', ['data:image/png;base64,one']);
  small.mockRejectedValue(new Error('not a picture'));
  open(<Photos cook="shin" add />);
  await screen.findByAltText('Photo 1 of the cook');
  await userEvent.upload(screen.getByLabelText('Add a photo'), file('broken'));
  expect(await screen.findByRole('alert')).toHaveTextContent('could not read');
  expect(kept.get('shin')).toHaveLength(1);
});

it('only shows them beside a cook that is over', async () => {
  kept.set('shin', ['data:image/png;base64,one']);
  open(<Photos cook="shin" />);
  await screen.findByAltText('Photo 1 of the cook');
  expect(screen.queryByRole('button')).not.toBeInTheDocument();
  expect(screen.queryByLabelText('Add a photo')).not.toBeInTheDocument();
});
