//! What is fitted: some of the model's parameters by their names, and what is believed of each beforehand.

use std::sync::Arc;

use anyhow::{Result, bail};
use ergastic_physics::model::Model;
use ergastic_physics::parameters::{About, Parameters};

/// What is fitted unless something else is named: what the table of practice tells most of.
pub const USUAL: [&str; 4] = ["tender.activation_energy", "tender.middle_share", "enough.*", "toughness.*"];

/// Cuts that no row has, or that are the measure of the others: they are not fitted unless they are named.
const LEFT_ALONE: [&str; 6] = ["chuck", "blade", "brisket_point", "sirloin", "tender_cut", "mixed"];

/// Believed before a first fit, and how firmly (standard deviation of the logarithm): toughness against chuck by hand; *enough* by the fit
/// of a plainer model, without which fork and probe, which meet in no row, come out as one.
const BELIEVED: [(&str, f64, f64); 21] = [
    ("tender.activation_energy", 81_000.0, f64::INFINITY),
    ("tender.middle_share", 0.5, f64::INFINITY),
    ("enough.slice", 1.76, 0.15),
    ("enough.fork", 2.07, 0.15),
    ("enough.probe", 2.37, 0.15),
    ("enough.pull", 2.87, 0.15),
    ("enough.spoon", 3.6, 0.15),
    ("toughness.neck", 1.1, 0.2),
    ("toughness.short_rib", 1.08, 0.2),
    ("toughness.plate_rib", 1.1, 0.2),
    ("toughness.rib_finger", 0.93, 0.2),
    ("toughness.brisket_flat", 1.38, 0.2),
    ("toughness.brisket", 1.25, 0.2),
    ("toughness.corned_brisket", 1.1, 0.2),
    ("toughness.shin", 1.42, 0.2),
    ("toughness.cheek", 1.05, 0.6),
    ("toughness.oxtail", 1.34, 0.2),
    ("toughness.tendon", 1.45, 0.6),
    ("toughness.round", 1.1, 0.2),
    ("toughness.silverside", 1.1, 0.2),
    ("toughness.skirt", 0.9, 0.2),
];

/// One of those that are fitted.
pub struct Free {
    /// What is known of it.
    pub about: About<Parameters>,
    /// Believed beforehand.
    pub believed: f64,
    /// How firmly: standard deviation of its logarithm.
    pub ln_sigma: f64,
}

/// Those that are fitted, all others as usual.
pub struct Chosen(pub Vec<Free>);

/// Whether a name fits a pattern, whose last part may be a star.
fn fits(pattern: &str, name: &str) -> bool {
    pattern.strip_suffix('*').map_or(pattern == name, |group| name.starts_with(group))
}

impl Chosen {
    /// Those whose names fit one of some patterns.
    ///
    /// # Errors
    /// When a pattern fits none, or one that is not over zero: steps are taken in the logarithm.
    pub fn by_name<T: AsRef<str>>(patterns: &[T]) -> Result<Self> {
        let all = Parameters::about();
        for pattern in patterns.iter().map(AsRef::as_ref) {
            if !all.iter().any(|about| fits(pattern, &about.name)) {
                bail!("no parameter is called {pattern}: docs/model.md lists them");
            }
        }
        let wanted = |about: &About<Parameters>| {
            let named = |pattern: &T| {
                let pattern = pattern.as_ref();
                let alone = pattern.ends_with('*')
                    && about.name.starts_with("toughness.")
                    && LEFT_ALONE.iter().any(|cut| about.name.ends_with(&format!(".{cut}")));
                fits(pattern, &about.name) && !alone
            };
            patterns.iter().any(named)
        };
        let free = |about: About<Parameters>| {
            let value = about.get(&Parameters::USUAL);
            if value <= 0.0 {
                bail!("{} is {value}: only what is over zero can be fitted", about.name);
            }
            let known = BELIEVED.iter().find(|(name, ..)| *name == about.name);
            // A plausible range is taken for two standard deviations to either side.
            let from_range = (value, f64::max(0.02, (about.range[1] / about.range[0].max(0.05 * value)).ln() / 4.0));
            let (believed, ln_sigma) = known.map_or(from_range, |(_, value, ln_sigma)| (*value, *ln_sigma));
            Ok(Free { about, believed, ln_sigma })
        };
        Ok(Self(all.into_iter().filter(wanted).map(free).collect::<Result<_>>()?))
    }

    /// Where a fit begins: logarithms of what is believed.
    pub fn start(&self) -> Vec<f64> {
        self.0.iter().map(|free| free.believed.ln()).collect()
    }

    /// Logarithms of those of a set.
    pub fn of(&self, parameters: &Parameters) -> Vec<f64> {
        self.0.iter().map(|free| free.about.get(parameters).ln()).collect()
    }

    /// A model with these, given as logarithms, in place of the usual ones; each within its plausible range.
    pub fn model(&self, numbers: &[f64]) -> Arc<Model> {
        let mut parameters = Parameters::USUAL;
        for (free, number) in self.0.iter().zip(numbers) {
            let [low, high] = free.about.range;
            free.about.set(&mut parameters, number.exp().clamp(low, high));
        }
        Arc::new(Model::of(parameters))
    }

    /// How far they are from what is believed, each over its own sigma.
    pub fn surprise<'a>(&'a self, numbers: &'a [f64]) -> impl Iterator<Item = f64> + 'a {
        self.0.iter().zip(numbers).map(|(free, number)| (number - free.believed.ln()) / free.ln_sigma)
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn names_and_groups_choose_and_what_fits_none_is_refused() {
        let named = |patterns: &[&str]| -> Vec<String> {
            Chosen::by_name(patterns).unwrap().0.into_iter().map(|free| free.about.name).collect()
        };
        assert_eq!(named(&["surface.liquid"]), ["surface.liquid"]);
        assert_eq!(named(&["enough.*"]).len(), 5);
        assert_eq!(named(&USUAL).len(), 21);
        assert_eq!(named(&["toughness.blade"]), ["toughness.blade"]);
        assert_eq!(named(&["wall.iron.*"]).len(), 3);
        assert!(Chosen::by_name(&["surface.honey"]).is_err());
        assert!(Chosen::by_name(&["meat.freezes_c"]).is_err());
    }

    #[test]
    fn what_is_put_in_comes_out_and_stays_in_its_range() {
        let chosen = Chosen::by_name(&["pit.wet", "enough.fork"]).unwrap();
        let numbers = [0.3_f64.ln(), 100.0_f64.ln()];
        let model = chosen.model(&numbers);
        assert!((model.p.pit.wet - 0.3).abs() < 1e-12);
        assert_eq!(model.p.enough.fork, 3.5);
        assert_eq!(model.p.enough.pull, Parameters::USUAL.enough.pull);
        let usual = chosen.of(&Parameters::USUAL);
        assert!(chosen.surprise(&usual).next().unwrap().abs() < 1e-12);
    }
}
