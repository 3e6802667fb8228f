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
