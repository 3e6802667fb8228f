//! What several ask for in the same moments is worked out once.

use std::collections::HashMap;
use std::hash::{DefaultHasher, Hash, Hasher};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::{Duration, Instant};

use ergastic_core::kitchen::Kitchen;
use uuid::Uuid;

use crate::error::ApiResult;

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

/// An answer, once it is there, and since when.
type Answer = Arc<tokio::sync::Mutex<Option<(Instant, Arc<str>)>>>;

/// Answers that are being worked out, or were just now.
#[derive(Clone, Default)]
pub struct AskedOnce(Arc<Mutex<HashMap<Asked, Answer>>>);

impl AskedOnce {
    fn answers(&self) -> MutexGuard<'_, HashMap<Asked, Answer>> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// The answer to what is asked: as it was found just now, else worked out by the first who asks while the others wait for it.
    /// `speed` is how many times as fast as the machine's the kitchen's clock runs.
    ///
    /// # Errors
    /// What the work says; the next who asks tries again.
    pub async fn once(
        &self,
        asked: Asked,
        speed: f64,
        work: impl AsyncFnOnce() -> ApiResult<String>,
    ) -> ApiResult<Arc<str>> {
        let counts = Duration::from_secs_f64((COUNTS_S / speed).max(MIN_COUNTS_S));
        let answer = {
            let mut answers = self.answers();
            // Those that nobody waits for and that are too old to count.
            answers.retain(|_, one| {
                let old =
                    one.try_lock().is_ok_and(|one| one.as_ref().is_none_or(|(since, _)| since.elapsed() > counts));
                !old || Arc::strong_count(one) > 1
            });
            answers.entry(asked).or_default().clone()
        };
        let mut answer = answer.lock().await;
        if let Some((since, text)) = answer.as_ref()
            && since.elapsed() <= counts
        {
            return Ok(text.clone());
        }
        let text: Arc<str> = work().await?.into();
        *answer = Some((Instant::now(), text.clone()));
        Ok(text)
    }
}

#[cfg(test)]
mod tests {
    use std::sync::atomic::{AtomicUsize, Ordering};

    use super::*;

    #[tokio::test(flavor = "multi_thread")]
    async fn what_many_ask_for_at_once_is_worked_out_once_and_what_is_given_up_by_the_next() {
        let (once, worked) = (AskedOnce::default(), Arc::new(AtomicUsize::new(0)));
        let asked = |seq: i64| (Uuid::nil(), "what-if", MadeFrom::new(seq, &Kitchen::default()));
        let ask = |seq: i64, ms: u64| {
            let (once, worked, asked) = (once.clone(), worked.clone(), asked(seq));
            tokio::spawn(async move {
                let work = async || {
                    worked.fetch_add(1, Ordering::SeqCst);
                    tokio::time::sleep(Duration::from_millis(ms)).await;
                    Ok(format!("of {seq}"))
                };
                once.once(asked, 1.0, work).await.map(|text| text.to_string())
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
