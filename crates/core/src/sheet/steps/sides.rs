//! What is served beside a dish: put on so that it lands with it.

use ergastic_words::{Message, Minutes, sheet as say};

use super::step::{Block, Step, Steps, Wait, Where, whole};
use crate::kitchen::Lane;
use crate::kitchen::ThingKind;
use crate::plan::Side;
use crate::sheet::tasks::{TaskId, TaskKind};
use ergastic_schedule::Minute;

/// Putting it on, and taking it off, min. Working values.
const ON_MIN: Minute = 3;
const OFF_MIN: Minute = 2;
/// What a minute costs that it waits for the plates, and minutes that are borne. Working values.
const WAITS: (f64, Minute) = (1.2, 25);

/// Each side of a dish.
pub(super) fn sides(steps: &mut Steps, sides: &[Side]) {
    for (number, side) in (1..).zip(sides) {
        let name = || Message::text(side.what.clone());
        let cooks = (whole(side.min) - ON_MIN).max(0);
        let (on, cook, off) = (TaskId::Side(number), TaskId::SideCook(number), TaskId::SideOff(number));
        let said = (say::side_on(name()), say::side_on_why(Minutes(side.min)));
        let block = vec![
            Step::new(on, TaskKind::Side, Lane::Hob, said, ON_MIN).after([]),
            Step::new(cook, TaskKind::Side, Lane::Hob, (say::side_cooks(name()), say::side_cooks_why()), cooks)
                .alone()
                .at(ON_MIN)
                .after([on]),
            Step::new(off, TaskKind::Side, Lane::Hob, (say::side_off(name()), say::side_off_why()), OFF_MIN)
                .at(ON_MIN + cooks)
                .after([cook]),
        ];
        let place = Where::Before(vec![Wait::until(TaskId::Serve, WAITS.0, WAITS.1).said()]);
        let mut block = Block::new(block, place);
        block.takes.push((ThingKind::Burner, 0, on, off));
        steps.blocks.push(block);
    }
}
