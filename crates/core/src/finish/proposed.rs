//! The usual path from where the pot stands: skim, come down as far as taste and salt allow, thicken tonight's share.

use super::body::{COATS, GELATIN_COAT, GELATIN_GLAZE, GRAVY};
use super::choices::{Skim, Target, Taste};
use super::cooking_liquid::CookingLiquid;
use super::moves::Move;
use super::stove::Stove;
use super::walk::{Walk, starch_for};

/// A reduction shorter than this is none, min.
pub(super) const NO_REDUCTION_MIN: f64 = 0.5;

/// Less starch than this is not worth a spoon, g.
const LITTLE_STARCH_G: f64 = 0.5;

fn has(done: &[Move], is: fn(&Move) -> bool) -> bool {
    done.iter().any(is)
}

/// What is still to be done from a pot as it stands after what was done.
pub(super) fn proposed(stove: &Stove, pot: CookingLiquid, done: &[Move]) -> Vec<Move> {
    let mut moves = Vec::new();
    let mut walk = Walk::from(pot);
    let mut go = |next: Move, walk: &mut Walk| {
        let went = walk.go(stove, next, false);
        moves.push(next);
        went
    };
    if pot.fat_l > 0.0 && stove.skim != Skim::None && !has(done, |one| matches!(one, Move::Skim { .. })) {
        go(Move::Skim { with: stove.skim }, &mut walk);
    }
    let mut stopped = false;
    if !has(done, |one| matches!(one, Move::Reduce { .. })) {
        let to_l = comes_down_to_l(stove, &walk.pot);
        let at_l = to_l.max(stove.stop_l(walk.pot.salt_g)).min(walk.pot.liquid_l);
        stopped = at_l > to_l + 0.01;
        if stove.boiling_min(walk.pot.liquid_l - at_l) > NO_REDUCTION_MIN {
            go(Move::Reduce { to_l, meat_in: false }, &mut walk);
        }
    }
    let Some(to_body) = thickens_to(stove, &walk.pot, stopped) else { return moves };
    if has(done, |one| matches!(one, Move::Thicken { .. })) {
        return moves;
    }
    let set_aside = has(done, |one| matches!(one, Move::SetAside { .. }));
    let share = if set_aside { 1.0 } else { stove.share };
    if starch_for(&walk.pot, stove.thickener, to_body) * share <= LITTLE_STARCH_G {
        return moves;
    }
    if share < 1.0 {
        go(Move::SetAside { litres: walk.pot.liquid_l * (1.0 - share) }, &mut walk);
    }
    go(Move::Thicken { with: stove.thickener, to_body }, &mut walk);
    moves
}

/// How far it should come down, L, were there no salt in it.
fn comes_down_to_l(stove: &Stove, pot: &CookingLiquid) -> f64 {
    if stove.taste.forbids_reducing() {
        return pot.liquid_l;
    }
    let weak = stove.taste == Taste::Weak;
    let for_gelatin = |percent: f64| pot.gelatin_g / (percent * 10.0);
    let wanted = match stove.target {
        Target::Broth => pot.liquid_l * if weak { 0.7 } else { 1.0 },
        Target::Coat | Target::Gravy if !weak => pot.liquid_l,
        // A weak sauce comes down to half at most, less if its gelatin coats by itself before.
        Target::Coat | Target::Gravy => f64::max(0.5 * pot.liquid_l, for_gelatin(GELATIN_COAT)),
        Target::Glaze => f64::max(0.15 * pot.liquid_l, for_gelatin(GELATIN_GLAZE)),
    };
    wanted.min(pot.liquid_l)
}

/// The body that starch is to bring it to; none where it is to have none, or comes down to it by itself.
fn thickens_to(stove: &Stove, pot: &CookingLiquid, stopped: bool) -> Option<f64> {
    match stove.target {
        Target::Broth => None,
        Target::Coat => (pot.body() < COATS).then_some(COATS),
        Target::Gravy => Some(GRAVY),
        // Stopped by salt, or by a taste that reducing would only make worse, it clings to the meat like a gravy.
        Target::Glaze => (stopped || stove.taste.forbids_reducing()).then_some(GRAVY),
    }
}
