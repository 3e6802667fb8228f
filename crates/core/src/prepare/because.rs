//! Two or three sentences on what rules each place of the bench, for this dish.

use ergastic_words::{Grams, Mass, Message, Temperature, Volume, prepare as say};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::goes_in::softens;
use super::laid::BenchFigures;
use super::pan::BROWNS_FROM_C;

/// Less sinew than this gives no body to speak of, kg.
const SINEW_KG: f64 = 0.005;
/// Less salt than this is none, g.
const SALT_G: f64 = 1.0;

/// Why each place of the bench asks what it asks.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Reasons {
    /// Trimming and cutting up.
    pub meat: Vec<String>,
    /// Salting.
    pub salt: Vec<String>,
    /// The pan.
    pub sear: Vec<String>,
    /// The liquid in its pot.
    pub pot: Vec<String>,
    /// The dial.
    pub heat: Vec<String>,
    /// What goes in later.
    pub later: Vec<String>,
    /// What is bought.
    pub list: Vec<String>,
}

impl BenchFigures<'_> {
    pub(super) fn reasons(&self) -> Reasons {
        let in_words = |said: Vec<Message>| said.into_iter().map(|said| self.case.voice.render(said)).collect();
        let first = self.case.first();
        let mut heat: Vec<String> =
            in_words(first.medium.way().what_the_dial_decides(first.pot.lid).into_iter().collect());
        heat.push(self.forecast.why.clone());
        Reasons {
            meat: in_words(self.meat_reasons()),
            salt: in_words(self.salt_reasons()),
            sear: in_words(self.sear_reasons()),
            pot: in_words(self.pot_reasons()),
            heat,
            later: in_words(self.later_reasons()),
            list: in_words(vec![say::list_follows()]),
        }
    }

    fn meat_reasons(&self) -> Vec<Message> {
        let sinew_kg = self.trimmed.sinew_kg;
        let body = if sinew_kg > SINEW_KG { say::sinew_gives_body(Mass(sinew_kg)) } else { say::no_sinew() };
        [Some(say::thickness_rules()), self.pot.map(|_| body)].into_iter().flatten().collect()
    }

    fn salt_reasons(&self) -> Vec<Message> {
        let Some(_) = self.pot else { return vec![say::salt_walks()] };
        let brought_g = self.salt.from_ingredients_g;
        let brought = if brought_g > SALT_G { say::salt_beside(Grams(brought_g)) } else { say::salt_beside_none() };
        vec![say::salt_walks_pot(), brought]
    }

    fn sear_reasons(&self) -> Vec<Message> {
        if self.sear.batches == 0 {
            return vec![say::browning_is_flavour()];
        }
        let [browns, start] = [BROWNS_FROM_C, self.sear.start_c].map(Temperature);
        vec![say::browning_needs_heat(), say::pan_keeps(self.sear.most, browns, start)]
    }

    fn pot_reasons(&self) -> Vec<Message> {
        self.pot.map_or(Vec::new(), |pot| {
            vec![say::meat_takes_up(Volume(pot.meat_l), Volume(pot.holds_l)), say::read_the_marks()]
        })
    }

    fn later_reasons(&self) -> Vec<Message> {
        let spent = softens(self.bench).then(say::aromatics_are_spent);
        [Some(say::later_has_its_time()), spent].into_iter().flatten().collect()
    }
}
