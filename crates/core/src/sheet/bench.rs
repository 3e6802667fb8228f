//! A plan at the bench, with what is to be done there: the dish's own list of tasks, up to the meat meeting the heat.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::laid::unhindered;
use super::steps::steps;
use super::tasks::{Task, TaskId, TaskKind};
use super::worked::Settled;
use crate::clock::minutes_between;
use crate::error::{Result, unless_refused};
use crate::kitchen::Kitchen;
use crate::plan::Plan;
use crate::prepare::AtTheBench;
use crate::safety::Caution;

/// One thing to do at the bench.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct BenchStep {
    /// Its name in the dish.
    #[schema(value_type = String)]
    pub id: TaskId,
    /// Its kind.
    pub kind: TaskKind,
    /// What.
    pub what: String,
    /// Why, and the sign.
    pub why: String,
    /// Minutes.
    pub min: f64,
    /// Cautions at this step.
    pub cautions: Vec<Caution>,
}

/// A plan at the bench with what is to be done there.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct OnTheBench {
    /// What it comes to, and what may be chosen.
    #[serde(flatten)]
    pub bench: AtTheBench,
    /// In the order in which it is done.
    pub steps: Vec<BenchStep>,
}

impl Plan {
    /// What the plan comes to at the bench of a kitchen, and what is to be done there.
    ///
    /// # Errors
    /// Names the plan's field that can't be used.
    pub fn on_the_bench(&self, kitchen: &Kitchen) -> Result<OnTheBench> {
        let bench = self.at_the_bench(kitchen)?;
        // In a pot that is too small nothing can be done before there is another.
        let steps = unless_refused(before_the_heat(self, kitchen))?.unwrap_or_default();
        Ok(OnTheBench { bench, steps })
    }
}

/// What is done up to the meat meeting the heat, in its order.
fn before_the_heat(plan: &Plan, kitchen: &Kitchen) -> Result<Vec<BenchStep>> {
    let mut one = plan.clone();
    // What is done before the heat does not hang on how long the heat takes.
    one.forecast.members = Some(1);
    let worked = Settled::new(&one, kitchen, &[], None)?;
    let asked = steps(&one, &worked, worked.lift_min(0.5).unwrap_or_default());
    let tasks = unhindered(&asked, &one, &worked)?;
    let met = tasks.iter().position(|task| task.id == TaskId::Simmer);
    let step = |task: Task| BenchStep {
        // What waits takes as long as it happens to; a task that is squeezed in still takes its own minutes.
        min: asked
            .all()
            .find(|step| step.id == task.id)
            .map_or(minutes_between(task.start, task.end), |step| f64::from(step.len)),
        id: task.id,
        kind: task.kind,
        what: task.what,
        why: task.why,
        cautions: task.cautions,
    };
    Ok(tasks.into_iter().take(met.map_or(0, |at| at + 1)).map(step).collect())
}
