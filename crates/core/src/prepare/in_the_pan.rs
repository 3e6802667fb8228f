//! What goes into the pan before the liquid.

use super::burner::Burner;
use super::pot::deglazes;
use crate::bench::{Larder, Prepare};

/// Aromatics soften in this order: what needs longest first, what burns soonest last.
const AROMATICS: [Larder; 11] = [
    Larder::Bacon,
    Larder::Onion,
    Larder::Carrot,
    Larder::Celery,
    Larder::SweetPepper,
    Larder::Mushroom,
    Larder::TomatoPaste,
    Larder::WholeSpice,
    Larder::Chilli,
    Larder::Ginger,
    Larder::Garlic,
];

/// The aromatics of a bench, in their order.
pub(super) fn aromatics(bench: &Prepare) -> Vec<Larder> {
    let is_in = |what: &Larder| bench.ingredients.iter().any(|thing| thing.what == *what);
    AROMATICS.into_iter().filter(is_in).collect()
}

/// Minutes of boiling down what deglazes, in the pan.
pub(super) fn boiling_down_min(bench: &Prepare, burner: Burner) -> f64 {
    let litres = deglazes(bench).map_or(0.0, |thing| thing.millilitres() / 1000.0);
    burner.boils_off_min((1.0 - bench.wine.stays()) * litres)
}
