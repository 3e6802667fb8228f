//! How many of each thing a kitchen has free.

use crate::kitchen::ThingKind;
use crate::kitchen::{Kitchen, Thing as Named};
use ergastic_schedule::Kind;

/// Things that are free, by kind.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) struct Stock([usize; ThingKind::ALL.len()]);

fn free<T>(things: &[Named<T>]) -> usize {
    things.iter().filter(|thing| !thing.lent).count()
}

impl Stock {
    /// Of a kitchen. Where there is no hob a pan stands over what flame there is.
    pub fn of(kitchen: &Kitchen) -> Self {
        let flames = free(&kitchen.burners);
        Self(ThingKind::ALL.map(|thing| match thing {
            ThingKind::Hands => free(&kitchen.hands).max(1),
            ThingKind::Burner if flames == 0 => free(&kitchen.coals) + free(&kitchen.pits),
            ThingKind::Burner => flames,
            ThingKind::Pan => free(&kitchen.pans),
            ThingKind::Oven => free(&kitchen.ovens),
            ThingKind::Pit => free(&kitchen.pits),
            ThingKind::Bath => free(&kitchen.baths),
            ThingKind::PressurePot => free(&kitchen.pressure_pots),
            ThingKind::SlowCooker => free(&kitchen.slow_cookers),
            ThingKind::Coals => free(&kitchen.coals),
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
