//! Which vessel each dish of a meal has to itself.

use crate::kitchen::Kitchen;
use crate::kitchen::Used;
use crate::plan::Plan;

/// Gives each dish of a meal a vessel of its own: what one names it keeps; else it has the one its bench starts from, as long as that is
/// free, and then the smallest that is left and takes it. Where none is left it keeps what it would have had alone: whoever wants
/// it at the same hour is told.
pub fn own_vessels(plans: &mut [Plan], kitchen: &Kitchen) {
    if plans.len() < 2 {
        return;
    }
    let named = |plan: &Plan| plan.uses.pot.clone().filter(|_| plan.pot_in(kitchen).is_some());
    let mut taken: Vec<String> = plans.iter().filter_map(named).collect();
    for plan in plans.iter_mut().filter(|plan| plan.uses.pot.is_none()) {
        let free = |pot: &Used| !pot.lent && taken.iter().all(|id| id != pot.id);
        let left: Vec<Used> = plan.pots_in(kitchen).into_iter().filter(free).collect();
        // One that is measured for the dish itself is nobody else's.
        let Some(starts_from) = plan.pot_in(kitchen) else { continue };
        let usual = Some(starts_from).filter(free);
        let Some(pot) = usual.or_else(|| smallest(plan, &left, kitchen)) else { continue };
        taken.push(pot.id.to_owned());
        // What its bench starts from needs no name.
        if usual.is_none() {
            plan.uses.pot = Some(pot.id.to_owned());
        }
    }
}

/// The smallest of some vessels that takes a dish; the largest where none does.
fn smallest<'a>(plan: &Plan, left: &[Used<'a>], kitchen: &Kitchen) -> Option<Used<'a>> {
    let full = |pot: &Used| {
        let mut with = plan.clone();
        with.uses.pot = Some(pot.id.to_owned());
        let case = with.resolve(kitchen).ok()?;
        Some((case.pot().volume_m3(), case.liquid_l / 1000.0 + case.packing.meat_m3))
    };
    let mut sized: Vec<_> = left.iter().filter_map(|pot| Some((*pot, full(pot)?))).collect();
    sized.sort_by(|(_, (a, _)), (_, (b, _))| a.total_cmp(b));
    let takes = sized.iter().find(|(_, (holds, needs))| needs <= holds);
    takes.or(sized.last()).map(|(pot, _)| *pot)
}
