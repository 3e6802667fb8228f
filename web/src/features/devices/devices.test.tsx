import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, ApiFault, type Schemas } from '../../api/client';
import { open } from '../../test-kitchen';
import { DevicesPlace } from './DevicesPlace';
import { setRole } from '../../api/role';
import { SignIn } from './SignIn';

const here: Schemas['ThisDevice'] = { signed_in: true, name: 'Office', role: 'cook', machine: false };
const screens: Schemas['Devices'] = {
  addresses: ['https://galley.lan:4870'],
  authority: { fingerprint: 'AA:BB', ends_at: '2036-01-01T00:00:00Z' },
  devices: [
    { id: '1', name: 'Office', role: 'cook', seen_min: 0, here: true },
    { id: '2', name: 'Apron phone', role: 'cook', seen_min: 0.4, here: false },
    { id: '3', name: 'Wall', role: 'look', seen_min: 95, here: false },
  ],
  keys: [{ id: '9', name: 'Pit hub' }],
};

beforeEach(() => {
  localStorage.clear();
  vi.spyOn(api, 'device').mockResolvedValue(here);
  vi.spyOn(api, 'devices').mockResolvedValue(screens);
});
afterEach(() => {
  vi.restoreAllMocks();
  history.replaceState(null, '', '/');
});

const type = (label: RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('the way in', () => {
  it('sends the name, the passphrase as typed and what it is for, and says why it was refused', async () => {
    const asked = vi
      .spyOn(api, 'signIn')
      .mockRejectedValue(new ApiFault('too many wrong ones. Wait 4 min', 429));
    // Who is not in yet has no role.
    setRole(undefined);
    open(<SignIn />);
    type(/screen called/, ' Apron phone ');
    expect(screen.getByRole('button', { name: 'Come in' })).toBeDisabled();
    type(/passphrase/, ' Seven ladles ');
    const look = screen.getByRole('radio', { name: 'To look at: a wall, a guest' });
    fireEvent.click(look);
    await waitFor(() => expect(look).toBeChecked());
    fireEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText('too many wrong ones. Wait 4 min')).toBeInTheDocument();
    expect(asked.mock.calls[0]?.[0]).toEqual({
      name: 'Apron phone',
      passphrase: ' Seven ladles ',
      role: 'look',
    });
  });

  it('takes an invitation from behind the #, and asks for the passphrase when it holds no longer', async () => {
    history.replaceState(null, '', '/in#c0de');
    const asked = vi.spyOn(api, 'signIn').mockRejectedValue(new ApiFault('used already', 403));
    // Who is not in yet has no role.
    setRole(undefined);
    open(<SignIn />);
    expect(screen.queryByLabelText(/passphrase/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Come in' }));
    expect(await screen.findByText('used already')).toBeInTheDocument();
    expect(asked.mock.calls[0]?.[0]).toMatchObject({ invitation: 'c0de' });
    expect(screen.getByLabelText(/passphrase/)).toBeInTheDocument();
  });
});

describe('who is in', () => {
  it('lists every screen by name, role and when it was seen, and signs one out, or all others', async () => {
    const one = vi.spyOn(api, 'signOneOut').mockResolvedValue(undefined);
    const all = vi.spyOn(api, 'signAllOut').mockResolvedValue(undefined);
    open(<DevicesPlace />);
    expect(await screen.findByText('cooks, this very one')).toBeInTheDocument();
    expect(screen.getByText('looks only, seen 1 h 35 ago')).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Sign Office out' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Sign Wall out' }));
    await waitFor(() => expect(one.mock.calls[0]?.[0]).toBe('3'));
    fireEvent.click(screen.getByRole('button', { name: 'Sign all others out' }));
    await waitFor(() => expect(all).toHaveBeenCalled());
  });

  it('shows an invitation as a picture, and a new key once', async () => {
    vi.spyOn(api, 'invite').mockResolvedValue({
      url: 'https://galley.lan:4870/in#c',
      picture: '<svg/>',
      holds_min: 10,
    });
    vi.spyOn(api, 'makeKey').mockResolvedValue({ id: '10', key: 'feed' });
    open(<DevicesPlace />);
    fireEvent.click(await screen.findByRole('button', { name: 'Invite a screen' }));
    expect(await screen.findByAltText(/camera/)).toHaveAttribute('src', expect.stringContaining('svg'));
    type(/Name of the probe/, 'Sous hub');
    fireEvent.click(screen.getByRole('button', { name: 'Make a key' }));
    expect(await screen.findByText('Authorization: Bearer feed')).toBeInTheDocument();
  });

  it('says how to open the door where it is shut, and shows a screen that looks nothing of it', async () => {
    vi.spyOn(api, 'devices').mockResolvedValue({ ...screens, addresses: [], authority: null });
    const { unmount } = open(<DevicesPlace />);
    expect(await screen.findByText(/ergastic serve --host/)).toBeInTheDocument();
    unmount();
    vi.spyOn(api, 'device').mockResolvedValue({ ...here, role: 'look', name: 'Wall' });
    open(<DevicesPlace />);
    expect(await screen.findByText('This is Wall')).toBeInTheDocument();
    expect(screen.queryByText('Signed in')).toBeNull();
  });
});
