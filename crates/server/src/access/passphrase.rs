//! The kitchen's passphrase: how long and how hard to guess it must be, and its hash.

use argon2::password_hash::phc::PasswordHash;
use argon2::password_hash::{PasswordHasher, PasswordVerifier};
use argon2::{Algorithm, Argon2, Params, Version};
use ergastic_core::error::WhatIsWrong;
use ergastic_core::{Error, Result};
use ergastic_words::service as say;
use zxcvbn::{Score, zxcvbn};

/// So many characters at least.
const MIN: usize = 12;
/// So many at the most.
const MAX: usize = 128;
/// What an attacker of this kitchen tries first.
const OURS: [&str; 6] = ["ergastic", "kitchen", "galley", "cook", "braise", "passphrase"];

/// Checks that a new passphrase is worth its name. What was typed is never said back.
///
/// # Errors
/// When it is too short, too long, or among what is guessed first.
pub fn check(passphrase: &str) -> Result<()> {
    let refused = |allowed| Error::said(WhatIsWrong::OutOfRange, "passphrase", say::this_passphrase(), allowed);
    let length = passphrase.chars().count();
    if !(MIN..=MAX).contains(&length) {
        return Err(refused(say::passphrase_length(MIN as u32, MAX as u32)));
    }
    if zxcvbn(passphrase, &OURS).score() < Score::Four {
        return Err(refused(say::passphrase_guessed()));
    }
    Ok(())
}

/// Memory of a hash, KiB, and passes over it: of the pairs that OWASP's password storage cheat sheet holds equal the one with the
/// least memory.
const MEMORY_KIB: u32 = 7 * 1024;
const PASSES: u32 = 5;

/// Its hash: argon2id with one lane, as a PHC string.
///
/// # Errors
/// When the machine has no memory or no randomness for it.
pub fn hashed(passphrase: &str) -> anyhow::Result<String> {
    let params = Params::new(MEMORY_KIB, PASSES, 1, None)?;
    let argon2 = Argon2::new(Algorithm::Argon2id, Version::V0x13, params);
    Ok(argon2.hash_password(passphrase.as_bytes())?.to_string())
}

/// Whether it is the one that was hashed.
pub fn is(passphrase: &str, hash: &str) -> bool {
    PasswordHash::new(hash).is_ok_and(|hash| Argon2::default().verify_password(passphrase.as_bytes(), &hash).is_ok())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_passphrase_is_long_and_not_guessed_and_never_said_back() {
        for guessed in
            ["short", "passwordpassword", "ergastic-kitchen", "aaaaaaaaaaaaaaaa", "123456789012", "qwertyuiop12"]
        {
            let refused = check(guessed).unwrap_err().to_string();
            assert!(!refused.contains(guessed), "{refused}");
        }
        assert!(check(&"x".repeat(129)).is_err());
        for good in ["seven ladles of cold smoke", "Järvi jäätyi, padat kiehuvat", "🍲 kettle under the pine 🍲"]
        {
            check(good).unwrap();
        }
    }

    #[test]
    fn its_hash_is_argon2id_salted_and_answers_to_it_alone() {
        let (one, other) =
            (hashed("seven ladles of cold smoke").unwrap(), hashed("seven ladles of cold smoke").unwrap());
        assert!(one.starts_with("$argon2id$v=19$m=7168,t=5,p=1$"), "{one}");
        assert_ne!(one, other);
        assert!(is("seven ladles of cold smoke", &one));
        assert!(
            !is("seven ladles of cold smok", &one) && !is("", &one) && !is("seven ladles of cold smoke", "no hash")
        );
    }
}
