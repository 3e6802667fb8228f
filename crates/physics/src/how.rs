//! How runs are made: whose sign ends them early.

use std::sync::Arc;

use ergastic_cancel::{Cancel, Cancelled};

use crate::model::Model;

/// What every run is handed beside its case.
#[derive(Debug, Clone)]
pub struct How {
    /// The sign that nobody waits for the answer any more.
    pub cancel: Cancel,
    /// The parameters that cases are filled with.
    pub model: Arc<Model>,
}

impl Default for How {
    fn default() -> Self {
        Self { cancel: Cancel::default(), model: Model::usual() }
    }
}

impl How {
    /// To be asked before each run.
    ///
    /// # Errors
    /// Nobody waits any more.
    pub fn go_on(&self) -> Result<(), Cancelled> {
        self.cancel.check()
    }
}

/// How a question is answered is no part of the question: documents that carry it compare by what they say.
impl PartialEq for How {
    fn eq(&self, _: &Self) -> bool {
        true
    }
}
