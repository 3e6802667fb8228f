import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { setRole } from '../../api/role';
import { api } from '../../api/client';
import { cook, kitchenView, open } from '../../test-kitchen';
import { takeInHand } from './inHand';
import { FirstVisit, ofThisDevice } from './FirstVisit';
import { Lost } from './Lost';
import { Shell } from './Shell';
import { Trouble } from './Trouble';

class Listening {
  static open: Listening[] = [];
  onmessage?: (message: { data: string }) => void;
  onopen?: () => void;
  onerror?: () => void;
  closed = false;
  constructor() {
    Listening.open.push(this);
  }
  close() {
    this.closed = true;
  }
}

const asked = vi.fn();

beforeEach(() => {
  asked.mockReset();
  Listening.open = [];
  localStorage.clear();
  takeInHand({});
  vi.stubGlobal('EventSource', Listening);
  vi.stubGlobal('fetch', (request: Request) => {
    const path = new URL(request.url).pathname;
    asked(path);
    const body = path.startsWith('/api/cooks/') ? cook() : path === '/api/kitchen' ? kitchenView() : [];
    return Promise.resolve(
      new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }),
    );
  });
});
afterEach(() => vi.unstubAllGlobals());

const health = (trouble?: string) => ({
  ok: !trouble,
  version: '1',
  trouble,
  warnings: [] as string[],
  database_bytes: 1,
  log_bytes: 0,
});

describe('the bar along the top', () => {
  it('leads on with the dish in hand, and shows it with its bell', async () => {
    act(() => takeInHand({ planId: cook().plan_id, cookId: cook().id }));
    open(<Shell />, '/match');
    expect(await screen.findByText('Lake-ice shin')).toBeInTheDocument();
    expect(screen.getByText(/bell .*16:30/)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Cook' })).toHaveAttribute('href', `/cook/${cook().id}`);
    expect(screen.getByRole('link', { name: 'Sheet' })).toHaveAttribute('href', `/sheet/${cook().plan_id}`);
  });

  it('goes to places by their number, lists the keys, and leaves typing alone', async () => {
    const { router } = open(<Shell />, '/match');
    fireEvent.keyDown(window, { key: '6' });
    expect(router.state.location.pathname).toBe('/log');
    fireEvent.keyDown(window, { key: '?' });
    expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    const field = document.body.appendChild(document.createElement('input'));
    fireEvent.keyDown(field, { key: '1' });
    expect(router.state.location.pathname).toBe('/log');
    field.remove();
  });

  it('keeps the light that was chosen', () => {
    open(<Shell />, '/match');
    fireEvent.click(screen.getByTitle('Night'));
    expect(document.documentElement).toHaveClass('dark');
    expect(localStorage.getItem('ergastic-mode')).toBe('dark');
    fireEvent.click(screen.getByTitle('Day'));
    expect(document.documentElement).not.toHaveClass('dark');
  });
});

describe('what changes elsewhere', () => {
  const plans = () => asked.mock.calls.filter((call) => call[0] === '/api/plans').length;

  it('is read again when the kitchen tells of it, and after a lost connection', async () => {
    open(<Shell />, '/match');
    await waitFor(() => expect(plans()).toBe(1));
    const source = Listening.open[0]!;
    act(() => source.onmessage?.({ data: JSON.stringify({ what: 'plan', id: 'x' }) }));
    await waitFor(() => expect(plans()).toBe(2));
    // What was read before the stream was there is read again with it.
    act(() => source.onmessage?.({ data: JSON.stringify({ what: 'hello' }) }));
    await waitFor(() => expect(plans()).toBe(3));
    act(() => source.onmessage?.({ data: JSON.stringify({ what: 'missed' }) }));
    await waitFor(() => expect(plans()).toBe(4));
  });

  it('is not listened for by a page that was left', () => {
    const { unmount } = open(<Shell />, '/match');
    const source = Listening.open[0]!;
    fireEvent(window, new Event('pagehide'));
    expect(source.closed).toBe(true);
    unmount();
  });
});

describe('what can’t be kept', () => {
  it('is said above every place, with ways out, and goes when it is over', async () => {
    let trouble: string | undefined = 'nothing can be kept: the disk is full. Make room on it';
    vi.stubGlobal('fetch', (request: Request) => {
      const at = new URL(request.url).pathname;
      const body = at === '/api/health' ? health(trouble) : at === '/api/kitchen' ? kitchenView() : [];
      const status = at === '/api/health' && trouble ? 503 : 200;
      const headers = { 'content-type': 'application/json' };
      return Promise.resolve(new Response(JSON.stringify(body), { status, headers }));
    });
    open(<Shell />, '/match');
    expect(await screen.findByText(/the disk is full/)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Save the whole kitchen as a file' })).toBeInTheDocument();
    trouble = undefined;
    fireEvent.click(screen.getByRole('button', { name: 'Look again' }));
    await waitFor(() => expect(screen.queryByText(/the disk is full/)).toBeNull());
  });

  it('offers nothing to take along on a screen that only looks', async () => {
    vi.spyOn(api, 'health').mockResolvedValue({ ...health('the disk is full'), ok: false });
    setRole('look');
    open(<Trouble />);
    expect(await screen.findByText(/the disk is full/)).toBeInTheDocument();
    await waitFor(() => expect(screen.queryByRole('link')).toBeNull());
  });
});

describe('a kitchen that is damaged though all is kept', () => {
  it('is said, with the way to its place', async () => {
    const warnings = ['The kitchen’s document can’t be read'];
    vi.spyOn(api, 'health').mockResolvedValue({ ...health(), ok: false, warnings });
    open(<Trouble />);
    expect(await screen.findByText(/can’t be read/)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Go to the kitchen' })).toHaveAttribute('href', '/kitchen');
  });
});

describe('the first visit to a new kitchen', () => {
  it('takes zone, units and clock from this device, and says so once', async () => {
    expect(ofThisDevice('en-US')).toMatchObject({ units: 'us', clock: 'h12' });
    expect(ofThisDevice('en-AU')).toMatchObject({ units: 'metric', clock: 'h12' });
    expect(ofThisDevice('fi')).toMatchObject({ units: 'metric', clock: 'h24' });
    const kept = { ...kitchenView(), kitchen: { ...kitchenView().kitchen, as_it_came: true } };
    vi.spyOn(api, 'kitchen').mockResolvedValue(kept);
    const save = vi.spyOn(api, 'saveKitchen').mockImplementation((version, kitchen) => {
      const next = { version: version + 1, kitchen: { ...kitchen, as_it_came: false } };
      vi.spyOn(api, 'kitchen').mockResolvedValue(next);
      return Promise.resolve(next);
    });
    open(<FirstVisit />);
    expect(await screen.findByText(/goes by this device/)).toBeInTheDocument();
    expect(save).toHaveBeenCalledTimes(1);
    expect(save.mock.calls[0]?.[1]).toMatchObject(ofThisDevice());
    fireEvent.click(screen.getByRole('button', { name: 'Good' }));
    expect(screen.queryByText(/goes by this device/)).toBeNull();
  });
});

describe('an address with nothing behind it', () => {
  it('is no blank screen', () => {
    open(<Lost />, '/nowhere');
    expect(screen.getByRole('heading', { name: 'There is no such place' })).toBeInTheDocument();
  });
});
