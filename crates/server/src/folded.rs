//! Cooks folded into what is so now, on the lane that is theirs, and remembered for as long as that holds.

use ergastic_core::cook::{CookView, Status, Trace, view};
use ergastic_core::kitchen::Kitchen;
use ergastic_store::StoredCook;
use jiff::Timestamp;

use crate::app::App;
use crate::asked::MadeFrom;
use crate::error::ApiResult;
use crate::queue::WorkLane;
use crate::traces::traces;

/// Folds a cook as it is, or would be.
pub async fn folded(app: &App, cook: &StoredCook, kitchen: &Kitchen, now: Timestamp) -> ApiResult<CookView> {
    let made_from = MadeFrom::new(cook.seq, kitchen);
    if let Some(view) = app.settled_view(cook.id, made_from) {
        return Ok(view);
    }
    let traces = traces(&app.store, cook, now).await?;
    let with_cook = computed(app, WorkLane::Cook, cook, kitchen, traces, now, view).await?;
    if with_cook.status == Status::Closed || with_cook.left_open_since.is_some() {
        app.keep_settled_view(cook.id, made_from, &with_cook);
    }
    Ok(with_cook)
}

/// The same for who asks again and again: as it was some seconds ago, where nothing has happened since.
pub async fn folded_lately(app: &App, cook: &StoredCook, kitchen: &Kitchen, now: Timestamp) -> ApiResult<CookView> {
    let made_from = MadeFrom::new(cook.seq, kitchen);
    let turn = app.turn_of(cook.id);
    match app.live_view(cook.id, made_from) {
        Some((view, true)) => Ok(view),
        Some((view, false)) => {
            // The first who finds it old has it made anew behind him.
            if let Ok(first) = turn.try_lock_owned() {
                let (app, cook, kitchen) = (app.clone(), cook.clone(), kitchen.clone());
                tokio::spawn(async move {
                    let _first = first;
                    let _ = kept(&app, &cook, &kitchen, now).await;
                });
            }
            Ok(view)
        }
        None => {
            let _first = turn.lock().await;
            match app.live_view(cook.id, made_from) {
                Some((view, _)) => Ok(view),
                None => kept(app, cook, kitchen, now).await,
            }
        }
    }
}

/// Folds a cook and keeps that for who asks next.
async fn kept(app: &App, cook: &StoredCook, kitchen: &Kitchen, now: Timestamp) -> ApiResult<CookView> {
    let view = folded(app, cook, kitchen, now).await?;
    app.keep_live_view(cook.id, MadeFrom::new(cook.seq, kitchen), &view);
    Ok(view)
}

/// What is worked out from a plan, its kitchen, when it was opened, what happened, what was read, and now.
pub type Works<T> = fn(
    &ergastic_core::plan::Plan,
    &Kitchen,
    Timestamp,
    &[ergastic_core::cook::Event],
    &[Trace],
    Timestamp,
) -> ergastic_core::Result<T>;

/// Works something out of a cook with what its probes have read.
pub async fn computed<T: Send + 'static>(
    app: &App,
    lane: WorkLane,
    cook: &StoredCook,
    kitchen: &Kitchen,
    traces: Vec<Trace>,
    now: Timestamp,
    works: Works<T>,
) -> ApiResult<T> {
    let (plan, opened_at, events) = (cook.plan.clone(), cook.opened_at, cook.events.clone());
    app.compute(lane, kitchen.clone(), move |kitchen| works(&plan, kitchen, opened_at, &events, &traces, now)).await
}
