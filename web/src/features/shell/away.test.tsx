import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answered, signedIn, unanswered } from '../../api/reach';
import { cook, open } from '../../test-kitchen';
import { KEPT_AT } from '../../worker/kept';
import { InHand } from '../cook/InHand';
import { Away } from './Away';
import { Entrance } from './Entrance';

const answer = (headers: Record<string, string> = {}, status = 200) => {
  act(() => {
    answered(new Response('{}', { status, headers }));
  });
};

beforeEach(() => {
  signedIn();
  answered(new Response('{}'));
});
afterEach(() => vi.restoreAllMocks());

describe('how the page stands to the kitchen', () => {
  it('says nothing while the kitchen answers, and how old the oldest of what is shown is while it does not', () => {
    open(<Away />);
    expect(screen.queryByRole('status')).toBeNull();
    answer({ [KEPT_AT]: String(Date.now() - 12 * 60_000) });
    answer({ [KEPT_AT]: String(Date.now() - 3 * 60_000) });
    expect(screen.getByRole('status')).toHaveTextContent(
      'The kitchen does not answer. What is shown is 12 min old',
    );
    answer();
    expect(screen.queryByRole('status')).toBeNull();
    act(() => {
      unanswered();
    });
    expect(screen.getByRole('status')).toHaveTextContent('of a moment ago');
  });

  it('shows the way in to who is no longer signed in, and the place to who is', async () => {
    open(<Entrance />);
    answer({}, 401);
    expect(await screen.findByText('This kitchen asks who is there')).toBeInTheDocument();
    act(() => {
      signedIn();
    });
    expect(screen.queryByText('This kitchen asks who is there')).toBeNull();
  });
});

describe('a task in hand', () => {
  const [task] = cook().view.tasks;
  if (!task) throw new Error('the cook has a task');

  it('is taken with the name of whose hands hold the screen, and let go by taking that back', async () => {
    localStorage.setItem('ergastic-hands', 'Runa');
    const happened = vi.fn();
    const { unmount } = open(<InHand task={task} onHappened={happened} />);
    fireEvent.click(await screen.findByRole('button', { name: 'I have it' }));
    await waitFor(() =>
      expect(happened).toHaveBeenCalledWith({ kind: 'task_taken', task: task.task.id, hands: 'Runa' }),
    );
    unmount();
    const own = { ...task, taken: [{ hands: 'Runa', event: 'e1' }], taken_words: 'Runa has it' };
    open(<InHand task={own} onHappened={happened} />);
    expect(await screen.findByText('Runa has it')).toBeInTheDocument();
    fireEvent.click(await screen.findByRole('button', { name: 'Let it go' }));
    expect(happened).toHaveBeenLastCalledWith({ kind: 'undone', event: 'e1' });
  });
});
