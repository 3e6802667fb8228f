//! Parameters ready to be run with.

use std::sync::{Arc, LazyLock};

use crate::beliefs::Beliefs;
use crate::parameters::Parameters;
use crate::tender::{Softening, softening_of};

/// Parameters ready to be run with.
#[derive(Debug, Clone)]
pub struct Model {
    /// The parameters.
    pub p: Parameters,
    /// How fast meat softens at a temperature, by its activation energy.
    pub softening: Softening,
}

impl Model {
    /// Of a set of parameters.
    pub fn of(p: Parameters) -> Self {
        let softening = softening_of(p.tender.activation_energy);
        Self { p, softening }
    }

    /// Of the usual ones.
    pub fn usual() -> Arc<Self> {
        static USUAL: LazyLock<Arc<Model>> = LazyLock::new(|| Arc::new(Model::of(Parameters::USUAL)));
        USUAL.clone()
    }

    /// The same where so much is believed of the kitchen.
    #[must_use]
    pub fn believing(&self, beliefs: Beliefs) -> Self {
        Self { p: Parameters { beliefs, ..self.p.clone() }, softening: self.softening }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::beliefs::NormalBelief;
    use crate::tender::rate;

    #[test]
    fn the_usual_model_is_made_once_and_softens_as_its_activation_energy_says() {
        assert!(Arc::ptr_eq(&Model::usual(), &Model::usual()));
        let stiffer = {
            let mut parameters = Parameters::USUAL;
            parameters.tender.activation_energy *= 1.2;
            Model::of(parameters)
        };
        for celsius in [65.0, 80.0, 90.0, 115.0] {
            let usual = Model::usual().softening.at(celsius);
            assert!((usual / rate(celsius) - 1.0).abs() < 0.02, "{celsius} °C");
            let steeper = stiffer.softening.at(celsius);
            assert_eq!(steeper < usual, celsius < 95.0, "{celsius} °C: {steeper} against {usual}");
        }
    }

    #[test]
    fn what_is_believed_of_a_kitchen_changes_nothing_else() {
        let oven_k = NormalBelief { mean: 6.0, sigma: 2.0 };
        let learned = Model::usual().believing(Beliefs { oven_k, ..Parameters::USUAL.beliefs });
        assert_eq!(learned.p.beliefs.oven_k, oven_k);
        assert_eq!(Parameters { beliefs: Parameters::USUAL.beliefs, ..learned.p }, Parameters::USUAL);
    }
}
