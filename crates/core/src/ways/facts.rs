//! What is known of a way whatever it is set to. Minutes are working values, from practice.

use ergastic_words::{Message, forecast, matching as say, sheet};

use super::cooked_in::CookedIn;
use super::method::HeatSource;
use crate::heat::pot::{Lid, Material, PotMeasures};
use crate::kitchen::ThingKind;
use ergastic_physics::places::ROOM_C;

/// Looks at the meat are this far apart at the least, min. Practice.
pub const LOOK_EVERY_MIN: f64 = 30.0;

/// How often one looks at the meat on the way.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Looks {
    /// A closed lid or a sealed bag is opened once.
    Once,
    /// Twice.
    Twice,
    /// Every half hour of its last third.
    ByTheHour,
}

/// Seeing to coals or a fire.
#[derive(Debug, Clone, Copy, PartialEq)]
pub struct Tending {
    /// So often, min.
    pub every_min: f64,
    /// For so long, min.
    pub takes_min: f64,
}

/// Something that nobody may be away from.
#[derive(Debug, Clone, Copy)]
pub struct Watched {
    /// Not where it holds its heat by itself.
    pub unless_it_holds_itself: bool,
    /// What it wants someone for.
    pub wants: fn() -> Message,
}

/// Which of the kitchen's vessels it stands in.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum StandsIn {
    /// One of its pots or dishes.
    Pot,
    /// A pressure pot.
    PressurePot,
    /// A slow cooker.
    SlowCooker,
    /// Whatever is at hand.
    Anything,
    /// None: a bag, a grate.
    Nothing,
}

/// What about its heat differs from kitchen to kitchen.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Unknown {
    /// How far an oven or coals are off.
    Oven,
    /// How far a pit is off.
    Pit,
    /// Only what differs from pot to pot.
    Pot,
}

/// What has to be bought for the heat itself.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Buys {
    /// Nothing.
    Nothing,
    /// Fat to cover it.
    Fat,
    /// Wood.
    Wood,
}

/// How far up the meat the liquid usually stands: at least so much, and no more than so much a kilo, for a little meat in a
/// wide pot is not drowned.
#[derive(Debug, Clone, Copy)]
pub struct LevelFacts {
    /// Share of the meat's height.
    pub share: f64,
    /// At least, L.
    pub min_l: f64,
    /// At most, L/kg.
    pub max_l_per_kg: f64,
    /// Why.
    pub why: fn() -> Message,
}

/// A braise: three quarters up.
pub const BRAISED: LevelFacts = LevelFacts { share: 0.75, min_l: 0.3, max_l_per_kg: 1.2, why: forecast::level_braise };
/// A stew: just covered.
pub const STEWED: LevelFacts = LevelFacts { share: 1.0, min_l: 0.3, max_l_per_kg: 1.5, why: forecast::level_stew };

/// How warm the liquid usually goes in.
#[derive(Debug, Clone, Copy)]
pub struct GoesIn {
    /// °C.
    pub celsius: f64,
    /// Why.
    pub why: fn() -> Message,
}

/// Poured hot over the meat.
pub const HOT: GoesIn = GoesIn { celsius: 60.0, why: forecast::hot_liquid };
/// Cold, into a crock.
pub const COLD: GoesIn = GoesIn { celsius: ROOM_C, why: forecast::cold_liquid };
/// Cold, into a dish that no flame may touch.
pub const COLD_IN_A_DISH: GoesIn = GoesIn { celsius: ROOM_C, why: forecast::cold_in_a_dish };

/// What is known of a way beside what it is set to.
#[derive(Debug, Clone, Copy)]
pub struct Facts {
    /// What has to be free for it; none where anything hot does.
    pub kit: Option<ThingKind>,
    /// What it takes of the kitchen while it goes on.
    pub thing: Option<ThingKind>,
    /// What the pot stands on or in, where that is asked.
    pub source: Option<HeatSource>,
    /// The vessel.
    pub stands_in: StandsIn,
    /// The vessel where the kitchen has none.
    pub vessel: fn() -> PotMeasures,
    /// The meat lies in water, stock or wine.
    pub is_pot: bool,
    /// What the meat lay in last.
    pub lies_in: CookedIn,
    /// Nothing happens fast in it.
    pub slow: bool,
    /// Things can be put in while it cooks.
    pub opens: bool,
    /// Its lid is locked: no other cover, no look, no ladle.
    pub locked: bool,
    /// The cover that is usual.
    pub lid: Lid,
    /// The liquid comes to a simmer on the hob first.
    pub comes_up: bool,
    /// It has to be hot only once the liquid simmers.
    pub hot_later: bool,
    /// It has to get hot beforehand, min.
    pub preheat_min: Option<f64>,
    /// Lighting a fire, filling a bath, melting and straining fat, min.
    pub fire_min: f64,
    /// What happens while it gets hot, and why.
    pub getting_hot: Option<[fn() -> Message; 2]>,
    /// The last step at the bench, min; none where that is aromatics and deglazing.
    pub into_it_min: Option<f64>,
    /// How far up its liquid stands.
    pub level: LevelFacts,
    /// How warm it goes in.
    pub goes_in: GoesIn,
    /// Looks at the meat.
    pub looks: Looks,
    /// The first look and the later ones; none where the lid stays shut.
    pub look: Option<[fn() -> Message; 2]>,
    /// What a look costs, min of heat: a pot is soon warm again, a crock and a pit are not.
    pub look_costs_min: f64,
    /// The meat is tried with a fork rather than a probe.
    pub forked: bool,
    /// Nobody may be away from it.
    pub watched: Option<Watched>,
    /// What its fire asks for.
    pub tending: Option<Tending>,
    /// The same where the pit does not hold itself.
    pub tending_by_hand: Option<Tending>,
    /// It burns with smoke and fumes.
    pub fire: bool,
    /// It makes raw meat tender.
    pub cooks: bool,
    /// What is frozen lies too long in it before it is hot.
    pub warms_slowly: bool,
    /// What differs from kitchen to kitchen.
    pub unknown: Unknown,
    /// The finished meat may wait overnight, wrapped or in its bag.
    pub held_wrapped: bool,
    /// The meat rests so long, min.
    pub rest_min: f64,
    /// Why, where that is not what every pot says.
    pub rest_why: Option<fn() -> Message>,
    /// Whether what is under the meat becomes a sauce.
    pub makes_sauce: bool,
    /// What there is in place of one.
    pub no_sauce: Option<&'static str>,
    /// What has to be bought for it.
    pub buys: Buys,
    /// What is left to wash.
    pub washes: &'static [fn() -> Message],
}

/// A look into a pot costs this, min; into a crock, a pit. Practice.
pub const POT_LOOK_MIN: f64 = 3.0;
pub const CROCK_LOOK_MIN: f64 = 20.0;
pub const PIT_LOOK_MIN: f64 = 8.0;

/// A pot that stands somewhere hot: what most ways begin from.
pub const POT: Facts = Facts {
    kit: None,
    thing: None,
    source: None,
    stands_in: StandsIn::Anything,
    vessel: PotMeasures::default,
    is_pot: true,
    lies_in: CookedIn::Pot,
    slow: false,
    opens: true,
    locked: false,
    lid: Lid::Tight,
    comes_up: false,
    hot_later: false,
    preheat_min: None,
    fire_min: 0.0,
    getting_hot: None,
    into_it_min: None,
    level: BRAISED,
    goes_in: HOT,
    looks: Looks::ByTheHour,
    look: Some([sheet::look_fork_and_liquid, sheet::look_fork_and_liquid_again]),
    look_costs_min: POT_LOOK_MIN,
    forked: true,
    watched: None,
    tending: None,
    tending_by_hand: None,
    fire: false,
    cooks: true,
    warms_slowly: false,
    unknown: Unknown::Pot,
    held_wrapped: false,
    rest_min: 15.0,
    rest_why: None,
    makes_sauce: true,
    no_sauce: None,
    buys: Buys::Nothing,
    washes: &[say::wash_pot],
};

impl Facts {
    /// Looks at the meat in a cook of so many minutes.
    pub fn looks(&self, cook_min: f64) -> usize {
        match self.looks {
            Looks::Once => 1,
            Looks::Twice => 2,
            Looks::ByTheHour => ((cook_min / 3.0 / LOOK_EVERY_MIN).ceil() as usize).clamp(2, 6),
        }
    }

    /// What its fire asks for, in a kitchen whose pit holds itself or does not.
    pub fn tending_now(&self, pit_holds_itself: bool) -> Option<Tending> {
        self.tending_by_hand.filter(|_| !pit_holds_itself).or(self.tending)
    }

    /// What it wants someone for all the time, in a kitchen whose pit holds itself or does not.
    pub fn wants(&self, pit_holds_itself: bool) -> Option<Message> {
        let watched = self.watched.filter(|watched| !(watched.unless_it_holds_itself && pit_holds_itself));
        watched.map(|watched| (watched.wants)())
    }
}

/// A round vessel of its own, cm.
pub fn round(diameter_cm: f64, height_cm: f64, material: Material) -> PotMeasures {
    PotMeasures {
        diameter_cm: Some(diameter_cm),
        height_cm: Some(height_cm),
        material: Some(material),
        ..PotMeasures::default()
    }
}
