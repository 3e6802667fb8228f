//! What comes after the sauce of a cook, worked out from what has happened in it.

use jiff::Timestamp;

use super::event::Event;
use super::fold::view;
use super::probes::Trace;
use super::standing::Standing;
use super::task::TaskState;
use super::view::CookView;
use crate::afterwards::{Afterwards, LiftedDish, LiftedMeat, afterwards};
use crate::clock::{minutes_between, plus_minutes};
use crate::error::Result;
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::sheet::{TaskId, TaskKind};

/// Minutes until the sauce has to be poured: what is cut and plated after it still has to be.
fn until_poured_min(view: &CookView, lifted: bool, now: Timestamp) -> f64 {
    let after = |kind: TaskKind| matches!(kind, TaskKind::Slice | TaskKind::Serve);
    let open = view.tasks.iter().filter(|task| task.state == TaskState::Open && after(task.task.kind));
    let after_min: f64 = open.map(|task| minutes_between(task.task.start, task.task.end)).sum();
    // As long as the meat is in, nothing can be begun before it is lifted.
    let from = if lifted { now } else { now.max(view.lift_at) };
    minutes_between(from, plus_minutes(view.serve_at, -after_min))
}

/// Everything after the sauce of a cook.
///
/// # Errors
/// Names the plan's field that can't be used, or an event that can't be so.
pub fn plated(
    plan: &Plan,
    kitchen: &Kitchen,
    opened_at: Timestamp,
    events: &[Event],
    traces: &[Trace],
    now: Timestamp,
) -> Result<Afterwards> {
    let view = view(plan, kitchen, opened_at, events, traces, now)?;
    let standing = Standing::of(events);
    let case = plan.resolve(kitchen)?;
    let part = case.main();
    let facts = part.facts;
    let toughness = part.goal.toughness;
    let [enough, overcooked] = view.goal;
    let kg = f64::max(view.pot.meat_kg, 0.01);
    // It has shrunk alike on all sides.
    let boneless_kg: f64 = case.parts.iter().map(|part| part.boneless_kg()).sum();
    let shrunk = (kg / boneless_kg).clamp(0.2, 1.0).cbrt();
    let lifted = standing.done(TaskId::Lift).is_some();
    let softened = view.tenderness.map_or(enough, |[_, middle, _]| middle);
    let meat = LiftedMeat {
        kg,
        weighed: standing.meat_weighed_kg().is_some(),
        people: plan.people,
        eaten_as: part.eaten_as,
        sides_mm: part.sides_m.map(|side| side * 1000.0 * shrunk),
        fat: facts.fat_pct / 100.0,
        toughness,
        // Until it is lifted it goes on softening: it is held once it is enough.
        tenderness: if lifted { softened } else { softened.max(enough) },
        overcooked,
        cooked_in: case.last().medium.facts().lies_in,
        wet: view.tasks.iter().any(|task| task.task.kind == TaskKind::Sauce),
    };
    afterwards(&LiftedDish {
        id: &format!("{:x}", opened_at.as_nanosecond()),
        plan,
        meat,
        sauce: &view.sauce,
        lifted,
        left_min: until_poured_min(&view, lifted, now),
        off_at: standing.heat_off_at().or_else(|| standing.done(TaskId::Serve)),
        room_c: kitchen.room_c,
        now,
        voice: kitchen.voice(),
    })
}
