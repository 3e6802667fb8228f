//! Who may enter from beyond this machine, and how: the passphrase, screens and their cookies, invitations, probes' keys, and
//! the certificate that the door is opened with.

mod addresses;
mod attempts;
mod authority;
mod certificates;
mod desk;
mod invitations;
mod may;
mod passphrase;
mod secret;
mod session;
mod visitor;

pub use addresses::{Addresses, is_own, is_private};
pub use authority::Authority;
pub use certificates::Certificates;
pub use desk::{Beyond, Desk, Shown};
pub use may::may;
pub use passphrase::{check, hashed};
pub use secret::{Secret, digest};
pub use session::{COOKIE, Session, cookie_of, forget_unseen, let_in, removal, session_of, with_cookie};
pub use visitor::{Peer, Visitor};
