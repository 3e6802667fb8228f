//! What can happen in a cook.

use jiff::Timestamp;
use serde::{Deserialize, Deserializer, Serialize};
use utoipa::ToSchema;
use uuid::Uuid;

use super::kinds::{By, Outcome, ProbeIn};
use crate::clock::check_instant;
use crate::error::{self, Unit, in_range};
use crate::finish::{Move, SauceChoices, Seasoned, check_moves};
use crate::forecast::Heat;
use crate::heat::pot::Lid;
use crate::json::{ByKind, tagged};
use crate::tender::Check;
use crate::text::{check_name, check_text};
use crate::ways::Method;

/// Something that happened.
#[derive(Debug, Clone, PartialEq, Serialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
pub enum Happened {
    /// The meat went into the hot liquid: the clock starts.
    OnTheHeat {},
    /// A task was done.
    TaskDone {
        /// The task's id on the sheet. It is kept as it came: what is no task of this sheet's hinders nobody.
        #[schema(min_length = 1, max_length = 80)]
        task: String,
    },
    /// Somebody has a task in hand.
    TaskTaken {
        /// Which.
        #[schema(min_length = 1, max_length = 80)]
        task: String,
        /// Who.
        #[schema(min_length = 1, max_length = 40)]
        hands: String,
    },
    /// A thermometer in the middle.
    CoreReading {
        /// What it read, °C.
        #[schema(minimum = -40, maximum = 400)]
        celsius: f64,
    },
    /// A fork or probe.
    Check {
        /// What was found.
        found: Check,
        /// What with; a fork where nothing is said.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        by: Option<By>,
    },
    /// Liquid was added.
    LiquidAdded {
        /// How much, L.
        #[schema(minimum = 0.01, maximum = 20)]
        litres: f64,
        /// How warm, °C; hot from the kettle where not given.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        #[schema(minimum = 0, maximum = 100)]
        celsius: Option<f64>,
        /// The task that is done by it.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        #[schema(min_length = 1, max_length = 80)]
        task: Option<String>,
    },
    /// The heat, the lid or the pieces were changed; what is not said stays as it was.
    Changed {
        /// Another way of cooking from now on.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        method: Option<Method>,
        /// What was changed of the heat.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        heat: Option<Box<Heat>>,
        /// Another lid.
        #[serde(default, skip_serializing_if = "Option::is_none")]
        lid: Option<Lid>,
        /// Every piece was cut in two.
        #[serde(default)]
        halved: bool,
    },
    /// The heat went off: the fire is out, or there is no power.
    HeatOff {},
    /// It is on again.
    HeatOn {},
    /// Pit, oven or pot stood open.
    Opened {
        /// So long, min.
        #[schema(minimum = 0.5, maximum = 120)]
        min: f64,
    },
    /// Plates are wanted at another time.
    ServeAtMoved {
        /// When.
        serve_at: Timestamp,
    },
    /// The fat on the liquid was measured.
    FatMeasured {
        /// How deep, mm.
        #[schema(minimum = 0, maximum = 100)]
        mm: f64,
    },
    /// A probe was put somewhere. From then on its readings count for that.
    ProbePut {
        /// Which.
        #[schema(min_length = 1, max_length = 80)]
        probe: String,
        /// Where its tip is.
        into: ProbeIn,
    },
    /// Somebody has heard an alarm and sees to it.
    Heard {
        /// Which.
        #[schema(min_length = 1, max_length = 120)]
        alarm: String,
    },
    /// An alarm is to ring again.
    Later {
        /// Which.
        #[schema(min_length = 1, max_length = 120)]
        alarm: String,
        /// In so long, min.
        #[schema(minimum = 1, maximum = 120)]
        min: f64,
    },
    /// The liquid in the pot was measured, by a dipstick.
    Dipped {
        /// In the pot, L.
        #[schema(minimum = 0, maximum = 60)]
        litres: f64,
    },
    /// The liquid was tasted.
    Tasted {
        /// How its salt is.
        salt: Seasoned,
    },
    /// The way to the sauce was chosen, or bent.
    SauceChosen {
        /// All that was chosen.
        sauce: Box<SauceChoices>,
    },
    /// A move on the way to the sauce was made.
    SauceDone {
        /// Which, with its figures.
        did: Box<Move>,
        /// What is still to be done after it.
        #[schema(max_items = 200)]
        then: Vec<Move>,
    },
    /// Something that cooked along was taken out of the pot.
    TakenOut {
        /// What, by the name it is asked for.
        #[schema(min_length = 1, max_length = 80)]
        what: String,
    },
    /// The cooked meat was weighed, what is not eaten taken off.
    MeatWeighed {
        /// On the scales, kg.
        #[schema(minimum = 0, maximum = 60)]
        kg: f64,
    },
    /// The pot was weighed with what is in it.
    Weighed {
        /// Lost since the meat met the heat, what was added taken off, kg.
        #[schema(minimum = 0, maximum = 20)]
        lost_kg: f64,
    },
    /// A note.
    Note {
        /// Its words.
        #[schema(min_length = 1, max_length = 500)]
        text: String,
    },
    /// The cook is over.
    Closed {
        /// How it went.
        #[serde(default)]
        outcome: Outcome,
    },
    /// An earlier event is taken back.
    Undone {
        /// Which.
        event: Uuid,
    },
    /// An earlier event happened at another time than was logged.
    Retimed {
        /// Which.
        event: Uuid,
        /// When it really was.
        at: Timestamp,
    },
}

/// How [`Happened`] is read once its kind is known; the compiler holds the two alike.
#[derive(Deserialize)]
#[serde(remote = "Happened", rename_all = "snake_case", deny_unknown_fields)]
enum HappenedOfKind {
    OnTheHeat {},
    TaskDone {
        task: String,
    },
    TaskTaken {
        task: String,
        hands: String,
    },
    CoreReading {
        celsius: f64,
    },
    Check {
        found: Check,
        by: Option<By>,
    },
    LiquidAdded {
        litres: f64,
        celsius: Option<f64>,
        task: Option<String>,
    },
    Changed {
        method: Option<Method>,
        heat: Option<Box<Heat>>,
        lid: Option<Lid>,
        #[serde(default)]
        halved: bool,
    },
    HeatOff {},
    HeatOn {},
    Opened {
        min: f64,
    },
    ServeAtMoved {
        serve_at: Timestamp,
    },
    FatMeasured {
        mm: f64,
    },
    ProbePut {
        probe: String,
        into: ProbeIn,
    },
    Heard {
        alarm: String,
    },
    Later {
        alarm: String,
        min: f64,
    },
    Dipped {
        litres: f64,
    },
    Tasted {
        salt: Seasoned,
    },
    SauceChosen {
        sauce: Box<SauceChoices>,
    },
    SauceDone {
        did: Box<Move>,
        then: Vec<Move>,
    },
    TakenOut {
        what: String,
    },
    MeatWeighed {
        kg: f64,
    },
    Weighed {
        lost_kg: f64,
    },
    Note {
        text: String,
    },
    Closed {
        #[serde(default)]
        outcome: Outcome,
    },
    Undone {
        event: Uuid,
    },
    Retimed {
        event: Uuid,
        at: Timestamp,
    },
}

impl ByKind for Happened {
    fn by_kind<'de, D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        HappenedOfKind::deserialize(deserializer)
    }
}

impl<'de> Deserialize<'de> for Happened {
    fn deserialize<D: Deserializer<'de>>(deserializer: D) -> Result<Self, D::Error> {
        tagged(deserializer)
    }
}

/// An event with its client-made id and its instant.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(deny_unknown_fields)]
pub struct Event {
    /// Made by whoever saw it happen; the same id again changes nothing.
    pub id: Uuid,
    /// When.
    pub at: Timestamp,
    /// What.
    pub happened: Happened,
    /// On whose screen it was tapped; the kitchen says it itself, whatever is sent.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    #[schema(min_length = 1, max_length = 40)]
    pub device: Option<String>,
}

impl Event {
    /// Checks what a cook typed.
    ///
    /// # Errors
    /// Names the field that can't be used.
    pub fn check(&self) -> error::Result<()> {
        check_instant("at", self.at)?;
        self.device.as_ref().map_or(Ok(()), |device| check_name("device", device, 40))?;
        match &self.happened {
            Happened::CoreReading { celsius } => in_range("celsius", *celsius, -40.0, 400.0, Unit::Celsius).map(drop),
            Happened::LiquidAdded { litres, celsius, task } => {
                in_range("litres", *litres, 0.01, 20.0, Unit::Litres)?;
                task.as_ref().map_or(Ok(()), |task| check_name("task", task, 80))?;
                celsius.map_or(Ok(()), |celsius| in_range("celsius", celsius, 0.0, 100.0, Unit::Celsius).map(drop))
            }
            Happened::Dipped { litres } => in_range("litres", *litres, 0.0, 60.0, Unit::Litres).map(drop),
            Happened::MeatWeighed { kg } => in_range("kg", *kg, 0.0, 60.0, Unit::Kilograms).map(drop),
            Happened::Weighed { lost_kg } => in_range("lost_kg", *lost_kg, 0.0, 20.0, Unit::Kilograms).map(drop),
            Happened::Note { text } => check_text("text", text, 500),
            Happened::TaskDone { task } => check_name("task", task, 80),
            Happened::TaskTaken { task, hands } => {
                check_name("task", task, 80)?;
                check_name("hands", hands, 40)
            }
            Happened::Closed { outcome } => {
                if let Some(kg) = outcome.cooked_kg {
                    in_range("outcome.cooked_kg", kg, 0.0, 60.0, Unit::Kilograms)?;
                }
                if let Some(litres) = outcome.liquid_left_l {
                    in_range("outcome.liquid_left_l", litres, 0.0, 60.0, Unit::Litres)?;
                }
                outcome.change.as_ref().map_or(Ok(()), |text| check_text("outcome.change", text, 500))
            }
            Happened::SauceChosen { sauce } => sauce.check().map_err(|error| error.within("sauce")),
            Happened::SauceDone { did, then } => {
                did.check().map_err(|error| error.within("did"))?;
                check_moves("then", then)
            }
            Happened::TakenOut { what } => check_name("what", what, 80),
            Happened::Retimed { at, .. } => check_instant("happened.at", *at),
            Happened::ServeAtMoved { serve_at } => check_instant("serve_at", *serve_at),
            Happened::Opened { min } => in_range("min", *min, 0.5, 120.0, Unit::Minutes).map(drop),
            Happened::FatMeasured { mm } => in_range("mm", *mm, 0.0, 100.0, Unit::Millimetres).map(drop),
            Happened::ProbePut { probe, .. } => check_name("probe", probe, 80),
            Happened::Heard { alarm } => check_name("alarm", alarm, 120),
            Happened::Later { alarm, min } => {
                check_name("alarm", alarm, 120)?;
                in_range("min", *min, 1.0, 120.0, Unit::Minutes).map(drop)
            }
            Happened::OnTheHeat {}
            | Happened::Check { .. }
            | Happened::Tasted { .. }
            | Happened::Changed { .. }
            | Happened::HeatOff {}
            | Happened::HeatOn {}
            | Happened::Undone { .. } => Ok(()),
        }
    }
}
