//! What goes in beside the meat, and when: into the pan before the liquid, or with the meat.

use ergastic_words::{Grams, Volume, prepare as say};

use super::burner::Burner;
use super::pot::{base_l, deglazes};
use super::salt::BACON_G_PER_KG;
use crate::bench::{Ingredient, Larder, Marinade, Prepare, SearFat, Wine};
use crate::forecast::ResolvedDish;
use crate::ways::{BesideTheMeat, ComesFrom, NOTHING_L, ThingIn, WARM_C};

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
/// What things are fried in; it swims on what is poured.
pub(crate) const FATS: [Larder; 3] = [Larder::Oil, Larder::Butter, Larder::KeptFat];

/// What softens in the fat, in its order. Nothing is fried for a clear broth.
fn aromatics(bench: &Prepare) -> impl Iterator<Item = &Ingredient> {
    let things = if bench.clear { &[][..] } else { &bench.ingredients[..] };
    AROMATICS.into_iter().flat_map(move |what| things.iter().filter(move |thing| thing.what == what))
}

/// Whether anything softens in the fat before the liquid.
pub(super) fn softens(bench: &Prepare) -> bool {
    aromatics(bench).next().is_some()
}

/// Minutes of boiling down what deglazes, in the pan.
pub(super) fn boiling_down_min(bench: &Prepare, burner: Burner) -> f64 {
    let litres = deglazes(bench).map_or(0.0, |thing| thing.millilitres() / 1000.0);
    burner.boils_off_min((1.0 - bench.stays()) * litres)
}

/// So much of a thing, by its name: weighed or poured as it was given.
fn so_much(thing: &Ingredient) -> ThingIn {
    let name = thing.what.name();
    let said = match thing.ml {
        Some(_) => say::so_much_poured(Volume(thing.millilitres() / 1000.0), name),
        None => say::so_much(Grams(thing.grams()), name),
    };
    ThingIn { what: thing.what, g: thing.grams(), from: ComesFrom::Shop, said }
}

/// What is kept of the marinade.
fn of_the_marinade(marinade: Marinade) -> ThingIn {
    let strong = marinade.made_of();
    let said = say::the_marinade(Volume(marinade.ml / 1000.0));
    ThingIn { what: strong.what, g: strong.grams(), from: ComesFrom::Marinade, said }
}

/// The liquid that is still missing to the level.
fn of_the_base(bench: &Prepare, case: &ResolvedDish) -> Option<ThingIn> {
    let litres = base_l(bench, case.liquid_l);
    let (facts, name) = (bench.base.facts(), bench.base.name());
    let said = match case.liquid_start_c < WARM_C {
        true => say::so_much_poured(Volume(litres), name),
        false => say::so_much_poured_hot(Volume(litres), name),
    };
    let g = litres * 1000.0 * facts.density;
    (litres > NOTHING_L).then_some(ThingIn { what: bench.base, g, from: ComesFrom::Shop, said })
}

/// Bacon that was rendered first.
fn crisp_bacon(bench: &Prepare, case: &ResolvedDish) -> ThingIn {
    let g = rendered_bacon_g(bench, case);
    ThingIn { what: Larder::Bacon, g, from: ComesFrom::Tray, said: say::the_crisp_bacon() }
}

/// Bacon that is rendered for its fat, g: what is on the bench, or as much as the meat wants.
pub(crate) fn rendered_bacon_g(bench: &Prepare, case: &ResolvedDish) -> f64 {
    let given: f64 = bench.ingredients.iter().filter(|thing| thing.what == Larder::Bacon).map(Ingredient::grams).sum();
    if given > 0.0 { given } else { BACON_G_PER_KG * case.mass_kg }
}

/// Everything of a bench that goes into such a dish, each thing once.
pub(super) fn goes_in(bench: &Prepare, case: &ResolvedDish, browned_in: Option<SearFat>) -> BesideTheMeat {
    let mut left: Vec<Ingredient> = bench.ingredients.clone();
    if !case.first().medium.is_pot() {
        return BesideTheMeat { with_meat: left.iter().map(so_much).collect(), ..BesideTheMeat::default() };
    }
    let mut take = |is: &dyn Fn(Larder) -> bool| -> Vec<ThingIn> {
        let (taken, others): (Vec<Ingredient>, Vec<Ingredient>) = left.iter().partition(|thing| is(thing.what));
        left = others;
        taken.iter().map(so_much).collect()
    };
    let fat = take(&|what| FATS.contains(&what));
    // Bacon that the meat is browned in was rendered before it and lifted out.
    let crisp = browned_in == Some(SearFat::Bacon);
    let softens = |thing: &&Ingredient| !(crisp && thing.what == Larder::Bacon);
    let softened: Vec<ThingIn> = aromatics(bench).filter(softens).map(so_much).collect();
    if !bench.clear {
        take(&|what| AROMATICS.contains(&what));
    }
    // What the meat is dredged in is on it already.
    let flour = take(&|what| what == Larder::Flour);
    let stirred_in = if bench.flour { Vec::new() } else { flour };
    let first = deglazes(bench);
    let of_the_bench = first.and_then(|first| left.iter().position(|thing| *thing == first));
    let mut poured_first = of_the_bench.map(|at| so_much(&left.remove(at)));
    let kept = bench.marinade.filter(|_| bench.keeps_the_marinade(case));
    let mut marinade = kept.map(of_the_marinade);
    if of_the_bench.is_none() && first.is_some() {
        poured_first = marinade.take();
    }
    let halved = poured_first.is_some() && bench.boils_down();
    let mut base = of_the_base(bench, case);
    if poured_first.is_none() && browned_in.is_some() {
        poured_first = base.take();
    }
    let with_meat = left
        .iter()
        .map(so_much)
        .chain(crisp.then(|| crisp_bacon(bench, case)))
        .chain(marinade.map(|thing| ThingIn { said: say::boiled_first(thing.said.clone()), ..thing }))
        .chain(base)
        .collect();
    BesideTheMeat { fat, softened, stirred_in, poured_first, halved, with_meat }
}

impl Prepare {
    /// Whether the marinade goes into the pot: a pit, a bag and fat have no use for it.
    pub(crate) fn keeps_the_marinade(&self, case: &ResolvedDish) -> bool {
        self.marinade.is_some_and(|marinade| marinade.kept) && case.first().medium.is_pot()
    }

    /// Whether what deglazes is boiled down by half: never beer that would grow bitter.
    pub(super) fn boils_down(&self) -> bool {
        self.wine == Wine::Halved && !deglazes(self).is_some_and(|thing| thing.what.facts().bitter)
    }

    /// Share of what deglazes that stands in the pot.
    pub(crate) fn stays(&self) -> f64 {
        if self.boils_down() { Wine::Halved.stays() } else { Wine::Whole.stays() }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::forecast::ForecastRequest;
    use crate::ways::Method;
    use ergastic_words::Voice;
    use proptest::prelude::*;

    fn case(method: Method) -> ResolvedDish {
        let request = ForecastRequest { cut: Some(crate::cuts::Cut::Chuck), mass_kg: Some(1.5), ..Default::default() };
        ForecastRequest { method: Some(method), liquid_l: Some(1.0), ..request }.resolve().unwrap()
    }

    fn told(goes_in: &BesideTheMeat) -> Vec<String> {
        let first = goes_in.poured_first.iter();
        let all = goes_in.fat.iter().chain(&goes_in.softened).chain(&goes_in.stirred_in).chain(first);
        all.chain(&goes_in.with_meat).map(|thing| Voice::default().render(thing.said.clone())).collect()
    }

    fn any_bench() -> impl Strategy<Value = Prepare> {
        let thing = (0..Larder::all().len(), 1..20u32).prop_map(|(at, tens)| {
            let what = Larder::all()[at].what;
            let amount = Some(f64::from(tens) * 10.0);
            if what.facts().liquid {
                Ingredient::usual(what, amount, None)
            } else {
                Ingredient::usual(what, None, amount)
            }
        });
        (prop::collection::vec(thing, 0..12), any::<[bool; 3]>()).prop_map(
            |(mut ingredients, [clear, flour, halved])| {
                ingredients.sort_by_key(|thing| thing.what);
                ingredients.dedup_by_key(|thing| thing.what);
                let wine = if halved { Wine::Halved } else { Wine::Whole };
                Prepare { ingredients, clear, flour, wine, ..Prepare::default() }
            },
        )
    }

    proptest! {
        #[test]
        fn each_thing_of_the_bench_goes_in_once_in_its_amount(bench in any_bench(), seared: bool, in_a_bag: bool) {
            let case = case(if in_a_bag { Method::WaterBath } else { Method::Braise });
            let told = told(&goes_in(&bench, &case, seared.then_some(SearFat::Oil)));
            for thing in bench.ingredients.iter().filter(|thing| thing.what != Larder::Flour) {
                let wanted = Voice::default().render(so_much(thing).said);
                prop_assert_eq!(told.iter().filter(|told| **told == wanted).count(), 1, "{} in {:?}", wanted, told);
            }
            let litres = base_l(&bench, case.liquid_l);
            let base = Voice::default().render(say::so_much_poured_hot(Volume(litres), bench.base.name()));
            let missing = !in_a_bag && litres > NOTHING_L;
            prop_assert_eq!(told.iter().filter(|told| **told == base).count(), usize::from(missing), "{} in {:?}", base, told);
        }

        #[test]
        fn what_is_poured_in_comes_to_the_level_and_never_over_it(bench in any_bench(), litres in 0.2..4.0f64) {
            let given: f64 = super::super::pot::poured(&bench, litres).iter().map(|poured| poured.stays_l).sum();
            let without: f64 = super::super::pot::poured(&bench, 0.0).iter().map(|poured| poured.stays_l).sum();
            prop_assert!((given - f64::max(litres, without)).abs() < 1e-9, "{given} for {litres}");
        }
    }

    #[test]
    fn bacon_that_was_rendered_comes_back_crisp_and_is_not_softened() {
        let bacon = Ingredient::usual(Larder::Bacon, None, Some(100.0));
        let bench = Prepare { ingredients: vec![bacon], ..Prepare::default() };
        let case = case(Method::Braise);
        let crisp = goes_in(&bench, &case, Some(SearFat::Bacon));
        assert!(crisp.softened.is_empty() && told(&crisp).contains(&"the crisp bacon".to_owned()), "{crisp:?}");
        assert_eq!(goes_in(&bench, &case, None).softened.len(), 1);
        assert_eq!(super::super::sear::usual_fat(&case, &bench), SearFat::Bacon);
        assert_ne!(super::super::sear::usual_fat(&case, &Prepare::default()), SearFat::Bacon);
    }

    #[test]
    fn dark_beer_is_never_boiled_down_and_nothing_is_fried_for_a_clear_broth() {
        let bench = |what: Larder| Prepare {
            ingredients: vec![Ingredient::usual(what, Some(330.0), None)],
            ..Prepare::default()
        };
        let (beer, wine) = (bench(Larder::DarkBeer), bench(Larder::RedWine));
        let case = case(Method::Braise);
        assert!(!goes_in(&beer, &case, Some(SearFat::Oil)).halved && goes_in(&wine, &case, Some(SearFat::Oil)).halved);
        assert!(base_l(&beer, 1.0) < base_l(&wine, 1.0), "all of it stands in the pot");
        let onion = Ingredient::usual(Larder::Onion, None, Some(200.0));
        let clear = Prepare { clear: true, ingredients: vec![onion], ..Prepare::default() };
        let goes_in = goes_in(&clear, &case, None);
        assert!(goes_in.softened.is_empty() && goes_in.with_meat.len() == 2 && !softens(&clear));
    }
}
