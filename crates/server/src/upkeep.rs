//! What is done while nobody asks: what the list of cooks shows, the day's copy of the database, what a broken-off import left.

use std::sync::Arc;
use std::time::{Duration, Instant};

use ergastic_core::cook::view;
use ergastic_store::{RawCook, Store, StoredCook, Summary, keep_backup};
use ergastic_words::{Voice, keeping as say};
use jiff::Timestamp;
use rayon::{ThreadPool, ThreadPoolBuilder};
use uuid::Uuid;

use crate::access::forget_unseen;
use crate::app::App;
use crate::changes::Change;
use crate::error::ApiResult;
use crate::summaries;
use crate::traces::traces;

/// Without a reason to look earlier, it is looked so often.
const EVERY: Duration = Duration::from_secs(600);
/// The machine's clock counts as right when it has gone on evenly for so long.
const EVENLY: Duration = Duration::from_secs(24 * 3600);
/// And differs by no more than this from the time that has passed.
const DIFFERS: Duration = Duration::from_secs(300);

/// Whether the machine's clock has gone on evenly between two moments, each by it and by what counts only what passes.
fn evenly(from: (Instant, Timestamp), to: (Instant, Timestamp)) -> bool {
    let passed = to.0.duration_since(from.0);
    let shown = to.1.duration_since(from.1).as_secs_f64();
    passed >= EVENLY && (shown - passed.as_secs_f64()).abs() <= DIFFERS.as_secs_f64()
}

/// Goes on for as long as the server does.
pub async fn go_on(app: App) {
    if let Err(error) = app.store.clear_imports().await {
        tracing::warn!("what a broken-off import left can't be cleared yet: {error}");
    }
    let mut looked = (Instant::now(), Timestamp::now());
    loop {
        if let Err(error) = app.store.save_from_deleted_log().await {
            tracing::error!(
                "the write-ahead log was deleted, and what stands in it can't be moved into the database: {error}"
            );
        }
        let now = (Instant::now(), Timestamp::now());
        if now.0.duration_since(looked.0) >= EVENLY {
            if evenly(looked, now)
                && let Err(error) = forget_unseen(&app.store, now.1).await
            {
                tracing::warn!("devices that were not seen for long can't be forgotten yet: {error}");
            }
            looked = now;
        }
        if let Err(error) = reckon_all(&app).await {
            tracing::warn!("what the list of cooks shows can't be kept yet: {error}");
        }
        if let Err(error) = keep_backup(&app.store, app.clock.now()).await {
            tracing::warn!("the day's copy can't be made: {error}");
        }
        tokio::select! {
            () = log_is_deleted(&app) => {}
            () = app.upkeep.notified() => {}
            () = tokio::time::sleep(EVERY) => {}
        }
    }
}

/// The log is looked for so often.
const LOG_EVERY: Duration = Duration::from_secs(1);

/// Until the write-ahead log is newly found deleted.
async fn log_is_deleted(app: &App) {
    let before = app.store.has_its_log();
    loop {
        tokio::time::sleep(LOG_EVERY).await;
        if before && !app.store.has_its_log() {
            return;
        }
    }
}

/// Keeps the facts of every cook of which the list knows nothing yet.
///
/// # Errors
/// When the database can't be read or written.
pub async fn know_facts(store: &Store) -> ergastic_store::Result<()> {
    for id in store.cooks_without_summary().await? {
        let raw = store.raw_cook(id).await?;
        let seq = raw.seq;
        let summary = match StoredCook::try_from(raw.clone()) {
            Ok(cook) => summaries::facts(cook.id, cook.plan_id, &cook.plan, cook.opened_at, &cook.events),
            Err(error) => unreadable(id, &raw, &error.to_string()),
        };
        store.put_summary(id, seq, &summary).await?;
    }
    Ok(())
}

/// What can still be said of a cook that can't be read.
fn unreadable(id: Uuid, raw: &RawCook, why: &str) -> Summary {
    let name = serde_json::from_str::<serde_json::Value>(&raw.document.text)
        .ok()
        .and_then(|document| document.get("name")?.as_str().map(str::to_owned))
        .unwrap_or_default();
    let plan_id = raw.plan_id.parse().unwrap_or_default();
    let opened_at = raw.opened_at.parse().unwrap_or(Timestamp::UNIX_EPOCH);
    summaries::broken(id, plan_id, &name, opened_at, why.to_owned())
}

/// Runs the forecasts that the list of cooks waits for, one after the other on one thread and not without a rest, so that
/// who cooks meanwhile does not notice.
async fn reckon_all(app: &App) -> ApiResult<()> {
    let mut thread: Option<Arc<ThreadPool>> = None;
    loop {
        let waiting = app.store.cooks_to_reckon().await?;
        let Some(last) = waiting.last().copied() else { return Ok(()) };
        if thread.is_none() {
            let one = ThreadPoolBuilder::new().num_threads(1).thread_name(|_| "upkeep".into()).build();
            thread = Some(Arc::new(one.map_err(|error| crate::error::ApiError::Internal(error.to_string()))?));
        }
        let Some(thread) = thread.clone() else { return Ok(()) };
        for id in waiting {
            let began = Instant::now();
            reckon(app, id, &thread).await?;
            tokio::time::sleep(began.elapsed()).await;
        }
        app.changed(Change::Cook { id: last });
    }
}

async fn reckon(app: &App, id: Uuid, thread: &Arc<ThreadPool>) -> ApiResult<()> {
    let raw = app.store.raw_cook(id).await?;
    let seq = raw.seq;
    let summary = match StoredCook::try_from(raw.clone()) {
        Err(error) => unreadable(id, &raw, &error.to_string()),
        Ok(cook) => {
            let kitchen = app.store.kitchen().await?;
            let (thread, now) = (thread.clone(), app.clock.now());
            let traces = traces(&app.store, &cook, now).await?;
            let done = tokio::task::spawn_blocking(move || {
                thread.install(|| {
                    let viewed = view(&cook.plan, &kitchen, cook.opened_at, &cook.events, &traces, now);
                    match viewed {
                        Ok(view) => summaries::reckoned(&cook, &view),
                        Err(error) => {
                            let why = error.to_string();
                            summaries::broken(cook.id, cook.plan_id, &cook.plan.name, cook.opened_at, why)
                        }
                    }
                })
            })
            .await;
            // A fold that panics is that cook's own fault too.
            done.unwrap_or_else(|_| unreadable(id, &raw, &Voice::default().render(say::cant_be_worked_out())))
        }
    };
    app.store.put_summary(id, seq, &summary).await?;
    Ok(())
}

#[cfg(test)]
mod tests {
    use jiff::SignedDuration;

    use super::*;

    #[test]
    fn a_clock_counts_as_right_when_it_has_gone_on_evenly_for_a_day() {
        let (passed, shown) = (Instant::now(), Timestamp::now());
        let hours = |hours: u64, off_s: i64| {
            let by = SignedDuration::from_secs(hours as i64 * 3600 + off_s);
            evenly((passed, shown), (passed + Duration::from_secs(hours * 3600), shown + by))
        };
        assert!(hours(24, 0) && hours(24, 200) && hours(30, -200));
        assert!(!hours(23, 0), "not for long enough");
        assert!(!hours(24, 400 * 24 * 3600) && !hours(24, -3600), "it jumped");
    }
}
