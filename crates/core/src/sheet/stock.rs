//! How many of each thing a kitchen has free.

use crate::kitchen::{Kitchen, ThingKind};
use ergastic_schedule::Kind;

/// Things that are free, by kind.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) struct Stock([usize; ThingKind::ALL.len()]);

impl Stock {
    /// Of a kitchen. Where there is no hob a pan stands over what flame there is.
    pub fn of(kitchen: &Kitchen) -> Self {
        let flames = kitchen.count(ThingKind::Burner);
        Self(ThingKind::ALL.map(|thing| match thing {
            ThingKind::Hands => kitchen.count(thing).max(1),
            ThingKind::Burner if flames == 0 => kitchen.count(ThingKind::Coals) + kitchen.count(ThingKind::Pit),
            thing => kitchen.count(thing),
        }))
    }

    /// As a problem's kinds.
    pub fn kinds(&self) -> Vec<Kind> {
        ThingKind::ALL.iter().zip(self.0).map(|(thing, count)| Kind { count, room: thing.room() }).collect()
    }

    /// With one more of a thing.
    pub fn add(&mut self, thing: ThingKind) {
        self.0[thing as usize] += 1;
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_pan_stands_over_what_flame_there_is_and_somebody_is_always_there() {
        let kit = [ThingKind::Coals, ThingKind::Pit, ThingKind::Oven];
        let outdoors = Kitchen::default().with_only(&kit);
        let stock = Stock::of(&outdoors).0;
        assert_eq!(stock[ThingKind::Burner as usize], 2, "coals and a pit");
        assert!(stock[ThingKind::Hands as usize] >= 1);
        assert_eq!(stock[ThingKind::Bath as usize], 0);
        let indoors = Stock::of(&Kitchen::default()).0;
        assert_eq!(indoors[ThingKind::Burner as usize], Kitchen::default().count(ThingKind::Burner));
    }

    #[test]
    fn one_more_of_a_thing_is_one_more_of_its_kind() {
        let mut stock = Stock::of(&Kitchen::default());
        let before = stock.kinds();
        stock.add(ThingKind::Oven);
        let after = stock.kinds();
        for (thing, (before, after)) in ThingKind::ALL.iter().zip(before.iter().zip(&after)) {
            assert_eq!(after.count - before.count, usize::from(*thing == ThingKind::Oven));
            assert_eq!((after.room, before.room), (thing.room(), thing.room()));
        }
    }
}
