//! Invitations: a code that lets one screen in, once, within minutes. It is shown as a picture for a phone to read.

use std::collections::HashMap;
use std::time::{Duration, Instant};

use ergastic_store::{Digest, Role};

use super::secret::{Secret, digest};

/// An invitation holds so long.
pub const HOLDS: Duration = Duration::from_secs(10 * 60);
/// So many are open at once.
const OPEN: usize = 16;

/// The invitations that are open.
#[derive(Debug, Default)]
pub struct Invitations(HashMap<Digest, (Role, Instant)>);

impl Invitations {
    /// Another one.
    pub fn invite(&mut self, role: Role, now: Instant) -> Secret {
        self.0.retain(|_, (_, until)| *until > now);
        if self.0.len() >= OPEN
            && let Some(oldest) = self.0.iter().min_by_key(|(_, (_, until))| *until).map(|(code, _)| *code)
        {
            self.0.remove(&oldest);
        }
        let code = Secret::fresh();
        self.0.insert(code.digest(), (role, now + HOLDS));
        code
    }

    /// Takes one: it holds no longer.
    pub fn take(&mut self, code: &str, now: Instant) -> Option<Role> {
        self.0.remove(&digest(code)).filter(|(_, until)| *until > now).map(|(role, _)| role)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn an_invitation_holds_once_and_for_minutes() {
        let (mut invitations, now) = (Invitations::default(), Instant::now());
        let code = invitations.invite(Role::Look, now);
        assert_eq!(invitations.take("another", now), None);
        assert_eq!(invitations.take(code.told(), now), Some(Role::Look));
        assert_eq!(invitations.take(code.told(), now), None);
        let late = invitations.invite(Role::Cook, now);
        assert_eq!(invitations.take(late.told(), now + HOLDS), None);
    }
}
