//! Heat as a cook speaks of it: pots and lids, burners, coals in the wind, wraps. What they do is in `ergastic_physics`.

pub mod coals;
pub mod hob;
pub mod pit;
pub mod pot;
