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
