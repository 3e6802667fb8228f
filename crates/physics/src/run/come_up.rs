//! How long liquid takes to its first simmer on the hob.

use crate::case::Case;
use crate::medium::{FirstHeat, Medium};
use crate::vessel::{Vessel, WATER_SPECIFIC_HEAT};

/// Time constant of the rise: by the heat capacity of what stands on the hob, against the pot it was fitted on, s.
pub(super) fn rise_s(case: &Case) -> f64 {
    let p = &case.model.p;
    let capacity = |pot: &Vessel, litres: f64, meat_kg: f64| {
        pot.heat_capacity(p) + litres * WATER_SPECIFIC_HEAT + meat_kg * p.meat.specific_heat
    };
    let fitted = Vessel::usual(case.first().vessel.cover);
    p.pot.rise_s
        * (capacity(&case.first().vessel, case.liquid_l, case.mass_kg) / capacity(&fitted, 1.0, 1.4)).clamp(0.5, 4.0)
}

/// Seconds on the hob before the liquid simmers; none where it is not brought up there.
pub fn come_up_s(case: &Case) -> f64 {
    let reached_k = case.model.p.pot.simmer_reached_k;
    let gap = case.boil_c - case.liquid_start_c;
    let on_the_hob = matches!(
        case.first().medium,
        Medium::Hob { .. } | Medium::Reheat | Medium::Oven { start: FirstHeat::Hob, .. } | Medium::Coals(_)
    );
    if !on_the_hob || gap <= reached_k { 0.0 } else { rise_s(case) * (gap / reached_k).ln() }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::case::End;
    use crate::testing::{case, simmered, stage};

    #[test]
    fn a_colder_and_a_fuller_pot_takes_longer_and_what_simmers_already_no_time() {
        let usual = simmered(0.06);
        let minutes = come_up_s(&usual) / 60.0;
        assert!((12.0..18.0).contains(&minutes), "{minutes}");
        let colder = Case { liquid_start_c: 15.0, ..usual.clone() };
        let fuller = Case { liquid_l: 3.0, ..usual.clone() };
        assert!(come_up_s(&colder) > come_up_s(&usual) && come_up_s(&fuller) > come_up_s(&usual));
        assert_eq!(come_up_s(&Case { liquid_start_c: 97.0, ..usual }), 0.0);
        let bath = case(0.06, vec![stage(Medium::Bath { bath_c: 82.0 }, End::Stays)]);
        assert_eq!(come_up_s(&bath), 0.0);
    }
}
