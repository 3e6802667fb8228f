//! What several ask for in the same moments is worked out once.

use std::hash::{DefaultHasher, Hash, Hasher};
use std::sync::Arc;
use std::time::Duration;

use ergastic_core::kitchen::Kitchen;
use moka::future::Cache;
use uuid::Uuid;

use crate::error::{ApiError, ApiResult};

/// What a view was made from: how much had happened, and in which kitchen.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash)]
pub struct MadeFrom {
    /// [`ergastic_store::StoredCook::seq`].
    pub seq: i64,
    kitchen: u64,
}

impl MadeFrom {
    /// Of a cook's last event and the kitchen that its view is made with.
    pub fn new(seq: i64, kitchen: &Kitchen) -> Self {
        let mut hasher = DefaultHasher::new();
        serde_json::to_string(kitchen).unwrap_or_default().hash(&mut hasher);
        Self { seq, kitchen: hasher.finish() }
    }
}

/// An answer counts for so long of the kitchen's time, and at least for so long of the machine's.
const COUNTS_S: f64 = 20.0;
const MIN_COUNTS_S: f64 = 1.0;

/// Of which cook, what, and made from what.
type Asked = (Uuid, &'static str, MadeFrom);

/// Answers that are kept at the most.
const ANSWERS: u64 = 256;

/// Answers that are being worked out, or were just now.
#[derive(Clone)]
pub struct AskedOnce(Cache<Asked, Arc<str>>);

impl AskedOnce {
    /// Where the kitchen's clock runs so many times as fast as the machine's.
    pub fn new(speed: f64) -> Self {
        let counts = Duration::from_secs_f64((COUNTS_S / speed).max(MIN_COUNTS_S));
        Self(Cache::builder().max_capacity(ANSWERS).time_to_live(counts).build())
    }

    /// The answer to what is asked: as it was found just now, else worked out by the first who asks while the others wait for it.
    ///
    /// # Errors
    /// What the work says to who had it done; the next who asks tries again.
    pub async fn once(&self, asked: Asked, work: impl AsyncFnOnce() -> ApiResult<String>) -> ApiResult<Arc<str>> {
        let answer = self.0.try_get_with(asked, async { work().await.map(Into::into) });
        answer.await.map_err(|error| ApiError::clone(&error))
    }
}

#[cfg(test)]
mod tests {
    use std::sync::atomic::{AtomicUsize, Ordering};

    use super::*;

    #[tokio::test(flavor = "multi_thread")]
    async fn what_many_ask_for_at_once_is_worked_out_once_and_what_is_given_up_by_the_next() {
        let (once, worked) = (AskedOnce::new(1.0), Arc::new(AtomicUsize::new(0)));
        let asked = |seq: i64| (Uuid::nil(), "what-if", MadeFrom::new(seq, &Kitchen::default()));
        let ask = |seq: i64, ms: u64| {
            let (once, worked, asked) = (once.clone(), worked.clone(), asked(seq));
            tokio::spawn(async move {
                let work = async || {
                    worked.fetch_add(1, Ordering::SeqCst);
                    tokio::time::sleep(Duration::from_millis(ms)).await;
                    Ok(format!("of {seq}"))
                };
                once.once(asked, work).await.map(|text| text.to_string())
            })
        };
        let forty: Vec<_> = (0..40).map(|_| ask(1, 50)).collect();
        for one in forty {
            assert_eq!(one.await.unwrap().unwrap(), "of 1");
        }
        assert_eq!(worked.load(Ordering::SeqCst), 1);
        assert_eq!(ask(2, 1).await.unwrap().unwrap(), "of 2", "something has happened since");
        let given_up = ask(3, 60_000);
        tokio::time::sleep(Duration::from_millis(20)).await;
        given_up.abort();
        assert_eq!(ask(3, 1).await.unwrap().unwrap(), "of 3");
    }
}
