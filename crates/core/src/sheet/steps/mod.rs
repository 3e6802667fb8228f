//! The one list of a dish's tasks, before they have their hours: what is chosen at the bench, what its way asks for, what the
//! finishing needs. The sheet, *Match* and *Cook* all read it.

mod board;
mod finishing;
mod heat;
mod on_the_way;
mod pan;
mod sides;
mod step;
mod words;

use super::worked::Settled;
use crate::kitchen::Lane;
use crate::plan::Plan;

pub(crate) use heat::set_c;
pub(crate) use step::{Block, Step, StepMoment, Steps, Unattended, Where, whole};

/// Everything a dish asks for; `ready_min` minutes over the heat are kept for it.
pub(crate) fn steps(plan: &Plan, worked: &Settled, ready_min: f64) -> Steps {
    let mut steps = Steps::default();
    let lifted = finishing::finishing(&mut steps, plan, worked);
    let pan = heat::heat(&mut steps, plan, worked, lifted, ready_min);
    steps.blocks.extend(board::board(worked, pan));
    on_the_way::on_the_way(&mut steps, worked, lifted, ready_min);
    sides::sides(&mut steps, &plan.sides);
    // The cook knows how long their own hands take.
    for (task, min) in plan.laid.iter().chain(&plan.pins).filter_map(|pin| Some((pin.task.parse().ok()?, pin.min?))) {
        steps.takes_min(task, whole(min));
    }
    // Where there is no hob, pans and pots stand over what flame there is.
    for step in steps.blocks.iter_mut().flat_map(|block| &mut block.steps).filter(|step| step.lane == Lane::Hob) {
        step.lane = worked.flame;
    }
    for stretch in steps.stretches.iter_mut().filter(|stretch| stretch.lane == Lane::Hob) {
        stretch.lane = worked.flame;
    }
    steps
}
