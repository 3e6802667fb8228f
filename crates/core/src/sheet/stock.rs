//! How many of each thing a kitchen has free.

use super::thing::Thing;
use crate::kitchen::{Kitchen, Thing as Named};
use ergastic_schedule::Kind;

/// Things that are free, by kind.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) struct Stock([usize; Thing::ALL.len()]);

fn free<T>(things: &[Named<T>]) -> usize {
    things.iter().filter(|thing| !thing.lent).count()
}

impl Stock {
    /// Of a kitchen. Where there is no hob a pan stands over what flame there is.
    pub fn of(kitchen: &Kitchen) -> Self {
        let flames = free(&kitchen.burners);
        Self(Thing::ALL.map(|thing| match thing {
            Thing::Hands => free(&kitchen.hands).max(1),
            Thing::Burner if flames == 0 => free(&kitchen.coals) + free(&kitchen.pits),
            Thing::Burner => flames,
            Thing::Pan => free(&kitchen.pans),
            Thing::Oven => free(&kitchen.ovens),
            Thing::Pit => free(&kitchen.pits),
            Thing::Bath => free(&kitchen.baths),
            Thing::PressurePot => free(&kitchen.pressure_pots),
            Thing::SlowCooker => free(&kitchen.slow_cookers),
            Thing::Coals => free(&kitchen.coals),
        }))
    }

    /// As a problem's kinds.
    pub fn kinds(&self) -> Vec<Kind> {
        Thing::ALL.iter().zip(self.0).map(|(thing, count)| Kind { count, room: thing.room() }).collect()
    }

    /// With one more of a thing.
    pub fn add(&mut self, thing: Thing) {
        self.0[thing as usize] += 1;
    }
}
