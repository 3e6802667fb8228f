//! At the bench: salt and sear.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::forecast::Case;

/// How hard the meat is browned. It makes flavour and colour; it does not seal juices in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Sear {
    /// Deep brown on every broad side.
    #[default]
    Hard,
    /// Golden.
    Light,
    /// Straight into the pot.
    None,
}

/// Share of the pan's floor that pieces may cover before they steam. Working value, from practice.
const PAN_COVER: f64 = 0.60;
/// Minutes for the pan to come back between batches. Working value.
const RECOVERY_MIN: f64 = 2.0;

/// How the meat goes through the pan.
#[derive(Debug, Clone, Copy, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct SearPlan {
    /// Batches.
    pub batches: u32,
    /// Pieces in each.
    pub per_batch: u32,
    /// Minutes a batch takes, its recovery included.
    pub batch_min: f64,
    /// Minutes for all of them.
    pub min: f64,
}

/// Lays the pieces in batches in a pan of a diameter in cm; `None` when nothing is seared.
pub fn sear(case: &Case, how: Sear, pan_cm: f64) -> Option<SearPlan> {
    let a_side = match how {
        Sear::Hard => 3.0,
        Sear::Light => 1.5,
        Sear::None => return None,
    };
    let floor_m2 = std::f64::consts::PI * (pan_cm / 200.0).powi(2);
    let [thick, middle, long] = case.main().sides_m;
    let per_batch = ((PAN_COVER * floor_m2 / (middle * long)).floor() as u32).clamp(1, case.pieces);
    let batches = case.pieces.div_ceil(per_batch);
    // A chunky piece is turned onto its edges too.
    let sides = if thick > 0.5 * middle { 4.0 } else { 2.0 };
    let batch_min = sides * a_side + RECOVERY_MIN;
    Some(SearPlan { batches, per_batch, batch_min, min: f64::from(batches) * batch_min })
}

/// Salt for the meat, g, and level teaspoons of fine salt (6 g each).
pub fn salt(case: &Case, salt_pct: f64) -> (f64, f64) {
    let trimmed_kg = case.mass_kg * (1.0 - case.main().facts.trim_pct / 100.0);
    let grams = trimmed_kg * salt_pct * 10.0;
    (grams, grams / 6.0)
}

/// Salt that has gone from the meat into the liquid after some hours, g.
///
/// Both tend to the same strength with a time constant of 5 h at 4 cm, growing with the square of the thickness.
pub fn salt_in_liquid(case: &Case, salt_g: f64, liquid_l: f64, hours: f64) -> f64 {
    let time_constant = 5.0 * (case.main().sides_m[0] / 0.04).powi(2);
    let liquid_share = liquid_l / (liquid_l + case.mass_kg);
    salt_g * liquid_share * (1.0 - (-hours / time_constant).exp())
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::cuts::Cut;
    use crate::forecast::{ForecastRequest, Method};

    fn case(pieces: u32, size_mm: [f64; 3]) -> Case {
        ForecastRequest {
            cut: Some(Cut::ShortRib),
            mass_kg: Some(2.4),
            pieces: Some(pieces),
            size_mm: Some(size_mm),
            method: Some(Method::Braise),
            ..Default::default()
        }
        .resolve()
        .unwrap()
    }

    #[test]
    fn batches_leave_room_in_the_pan_and_take_every_piece() {
        let ribs = case(8, [50.0, 60.0, 100.0]);
        let plan = sear(&ribs, Sear::Hard, 28.0).unwrap();
        // 616 cm² of floor, three fifths of it, six by ten centimetres a piece.
        assert_eq!((plan.per_batch, plan.batches), (6, 2));
        assert_eq!(plan.min, 2.0 * plan.batch_min);
        let small = sear(&ribs, Sear::Hard, 18.0).unwrap();
        assert!(small.batches > plan.batches && small.per_batch * small.batches >= 8);
        assert!(sear(&ribs, Sear::Light, 28.0).unwrap().min < plan.min);
        assert_eq!(sear(&ribs, Sear::None, 28.0), None);
    }

    #[test]
    fn a_joint_wider_than_the_pan_still_goes_in() {
        let plan = sear(&case(1, [80.0, 300.0, 400.0]), Sear::Hard, 24.0).unwrap();
        assert_eq!((plan.per_batch, plan.batches), (1, 1));
    }

    #[test]
    fn salt_is_of_the_trimmed_mass_and_moves_slowly_into_the_liquid() {
        let ribs = case(8, [50.0, 60.0, 100.0]);
        let (grams, spoons) = salt(&ribs, 1.25);
        assert!((grams - 2400.0 * 0.94 * 0.0125).abs() < 1e-9 && (spoons - grams / 6.0).abs() < 1e-9);
        assert_eq!(salt_in_liquid(&ribs, grams, 1.0, 0.0), 0.0);
        let (soon, late) = (salt_in_liquid(&ribs, grams, 1.0, 2.0), salt_in_liquid(&ribs, grams, 1.0, 200.0));
        assert!(soon < late && (late - grams / 3.4).abs() < 0.01, "at the end both are of one strength: {late}");
    }
}
