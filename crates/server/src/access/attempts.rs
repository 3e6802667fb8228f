//! Wrong passphrases: after a few of them each costs longer to wait, for who sent them and, more gently, for all who have sent
//! any. Who has sent none never waits for what others do.

use std::collections::HashMap;
use std::net::IpAddr;
use std::time::{Duration, Instant};

/// So many may be wrong before anybody waits: fingers slip.
const FREE: u32 = 3;
/// Of all senders together so many, before any of them waits.
const FREE_OF_ALL: u32 = 20;
/// One sender waits so long at the most.
const LONGEST: Duration = Duration::from_secs(15 * 60);
/// All who have sent a wrong one wait so long at the most: fingers slip while somebody else guesses.
const LONGEST_OF_ALL: Duration = Duration::from_secs(10);
/// Without another wrong one for so long, a sender starts anew.
const FORGOTTEN: Duration = Duration::from_secs(60 * 60);
/// Senders that are remembered.
const SENDERS: usize = 1024;

#[derive(Debug, Clone, Copy)]
struct Wrong {
    times: u32,
    last: Instant,
}

impl Wrong {
    fn wait(self, free: u32, longest: Duration) -> Duration {
        let over = self.times.saturating_sub(free);
        if over == 0 { Duration::ZERO } else { Duration::from_secs(1 << (over - 1).min(20)).min(longest) }
    }

    fn left(self, free: u32, longest: Duration, now: Instant) -> Duration {
        self.wait(free, longest).saturating_sub(now.saturating_duration_since(self.last))
    }
}

/// Who has sent wrong passphrases.
#[derive(Debug, Default)]
pub struct Attempts {
    senders: HashMap<IpAddr, Wrong>,
    all: Option<Wrong>,
}

/// An IPv6 sender has a whole /64 to send from.
fn sender(peer: IpAddr) -> IpAddr {
    match peer.to_canonical() {
        IpAddr::V6(address) => IpAddr::V6((u128::from(address) >> 64 << 64).into()),
        v4 => v4,
    }
}

impl Attempts {
    /// How long a sender has to wait before the next; zero where it need not.
    pub fn wait(&self, peer: IpAddr, now: Instant) -> Duration {
        let Some(wrong) = self.senders.get(&sender(peer)) else { return Duration::ZERO };
        let own = wrong.left(FREE, LONGEST, now);
        own.max(self.all.map_or(Duration::ZERO, |wrong| wrong.left(FREE_OF_ALL, LONGEST_OF_ALL, now)))
    }

    /// Whether a sender has sent no wrong one lately.
    pub fn is_clean(&self, peer: IpAddr) -> bool {
        !self.senders.contains_key(&sender(peer))
    }

    /// Who an address counts as.
    pub fn sender(peer: IpAddr) -> IpAddr {
        sender(peer)
    }

    /// Another wrong one.
    pub fn wrong(&mut self, peer: IpAddr, now: Instant) {
        let forgotten = |wrong: &Wrong| now.saturating_duration_since(wrong.last) > FORGOTTEN;
        self.senders.retain(|_, wrong| !forgotten(wrong));
        if self.senders.len() >= SENDERS
            && let Some(oldest) = self.senders.iter().min_by_key(|(_, wrong)| wrong.last).map(|(peer, _)| *peer)
        {
            self.senders.remove(&oldest);
        }
        let again = |wrong: Option<Wrong>| Wrong {
            times: wrong.filter(|wrong| !forgotten(wrong)).map_or(0, |wrong| wrong.times) + 1,
            last: now,
        };
        let own = self.senders.get(&sender(peer)).copied();
        self.senders.insert(sender(peer), again(own));
        self.all = Some(again(self.all));
    }

    /// The right one: the sender starts anew.
    pub fn right(&mut self, peer: IpAddr) {
        self.senders.remove(&sender(peer));
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_wrong_one_costs_longer_and_hardly_hinders_another() {
        let (mut attempts, mut now) = (Attempts::default(), Instant::now());
        let (thief, cook) = ("192.168.1.66".parse().unwrap(), "192.168.1.7".parse().unwrap());
        let mut waits = Vec::new();
        for _ in 0..40 {
            attempts.wrong(thief, now);
            let wait = attempts.wait(thief, now);
            waits.push(wait.as_secs());
            now += wait;
        }
        assert_eq!(waits[..8], [0, 0, 0, 1, 2, 4, 8, 16]);
        assert!(waits.windows(2).all(|pair| pair[0] <= pair[1]) && *waits.last().unwrap() == 900);
        // In a day not a hundred.
        assert!(waits.iter().sum::<u64>() > 5 * 3600);
        assert_eq!(attempts.wait(cook, now), Duration::ZERO);
        attempts.wrong(cook, now);
        assert!(attempts.wait(cook, now) <= LONGEST_OF_ALL, "a slip of the finger");
        attempts.right(thief);
        assert!(attempts.wait(thief, now) <= LONGEST_OF_ALL);
    }

    #[test]
    fn a_sender_of_ipv6_is_its_network_and_the_memory_has_an_end() {
        let (mut attempts, now) = (Attempts::default(), Instant::now());
        for host in 0..10u16 {
            attempts.wrong(format!("fd00:1:2:3::{host:x}").parse().unwrap(), now);
        }
        assert!(attempts.wait("fd00:1:2:3::ffff".parse().unwrap(), now) > Duration::from_secs(30));
        for i in 0..5000u32 {
            attempts.wrong(IpAddr::V4(i.into()), now);
        }
        assert!(attempts.senders.len() <= SENDERS);
    }
}
