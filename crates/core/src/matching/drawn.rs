//! A way as it is drawn on the axis that runs to the bell.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::plus_minutes;
use crate::forecast::Quantiles;

/// P10, P50 and P90 as instants.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Instants {
    /// One in ten.
    pub p10: Option<Timestamp>,
    /// Half.
    pub p50: Option<Timestamp>,
    /// Nine in ten.
    pub p90: Option<Timestamp>,
}

/// From the first thing done to the plates.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct DrawnHours {
    /// The work begins.
    pub begins: Timestamp,
    /// The meat meets the heat.
    pub on_the_heat: Timestamp,
    /// Tender.
    pub ready: Instants,
    /// Gone too far, if the heat stays on.
    pub overcooked: Instants,
    /// Lifted.
    pub lift: Timestamp,
    /// Plates on the table.
    pub plates: Timestamp,
}

/// What a way needs, in minutes.
#[derive(Debug, Clone, Copy)]
pub(super) struct Needs {
    pub lead_min: f64,
    pub finishing_min: f64,
    pub ready: Quantiles,
    pub overcooked: Quantiles,
}

impl Needs {
    /// Begun at some moment, and lifted at another or once nine in ten are tender.
    pub fn drawn(self, begins: Timestamp, lift: Timestamp) -> DrawnHours {
        let on_the_heat = plus_minutes(begins, self.lead_min);
        let after = |minutes: Option<f64>| minutes.map(|minutes| plus_minutes(on_the_heat, minutes));
        let instants = |of: Quantiles| Instants { p10: after(of.p10), p50: after(of.p50), p90: after(of.p90) };
        let ready = instants(self.ready);
        let lift = ready.p90.map_or(lift, |surely| lift.max(surely));
        DrawnHours {
            begins,
            on_the_heat,
            ready,
            overcooked: instants(self.overcooked),
            lift,
            plates: plus_minutes(lift, self.finishing_min),
        }
    }

    /// At the latest start that is sure enough, landing at the bell; none where that is past.
    pub fn at_latest(self, start_by: Option<Timestamp>, now: Timestamp, lift: Timestamp) -> Option<DrawnHours> {
        let begins = start_by.filter(|start_by| *start_by >= now)?;
        let drawn = self.drawn(begins, lift);
        // For a certainty under nine in ten the last of them come in after the lifting: it is lifted for the bell all the same.
        Some(DrawnHours { lift, plates: plus_minutes(lift, self.finishing_min), ..drawn })
    }
}
