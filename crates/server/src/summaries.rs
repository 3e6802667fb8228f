//! What the list of cooks keeps of each.

use ergastic_core::cook::{CookSummary, CookView, Event, Status};
use ergastic_core::plan::Plan;
use ergastic_store::{StoredCook, Summary};
use jiff::Timestamp;
use uuid::Uuid;

fn written(summary: &CookSummary, reckoned: bool) -> Summary {
    // Ids, instants, names and numbers can always be written.
    Summary {
        line: serde_json::to_string(&summary.line()).unwrap_or_default(),
        document: serde_json::to_string(summary).unwrap_or_default(),
        closed: summary.status == Status::Closed && summary.broken.is_none(),
        day: summary.serve_at.unwrap_or(summary.opened_at),
        reckoned,
    }
}

/// Of a cook with its view.
pub fn reckoned(cook: &StoredCook, view: &CookView) -> Summary {
    let facts = CookSummary::facts(cook.id, cook.plan_id, &cook.plan, cook.opened_at, &cook.events);
    written(&facts.with(view), true)
}

/// Of a cook whose forecast is still to be run.
pub fn facts(id: Uuid, plan_id: Uuid, plan: &Plan, opened_at: Timestamp, events: &[Event]) -> Summary {
    written(&CookSummary::facts(id, plan_id, plan, opened_at, events), false)
}

/// Of a cook that can't be shown.
pub fn broken(id: Uuid, plan_id: Uuid, name: &str, opened_at: Timestamp, why: String) -> Summary {
    written(&CookSummary::broken(id, plan_id, name, opened_at, why), true)
}
