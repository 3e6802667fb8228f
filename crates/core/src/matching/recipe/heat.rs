//! What a step's words say of its heat: the way, its setting, the lid.

use std::ops::Range;

use ergastic_words::{Dial, Message, Temperature, matching as say};

use super::figures::Figures;
use super::guess::Guess;
use super::tokens::{PlacedToken, Token, is_word};
use crate::forecast::{Heat, Wrap};
use crate::heat::pit::WrapMaterial;
use crate::heat::pot::{Lid, Simmer};
use crate::ways::{
    HeatSource, Method, Release, Settings, USUAL_BATH_C, USUAL_FAT_C, USUAL_OVEN_C, USUAL_PIT_C, USUAL_WRAP_C,
};

/// Below this a figure without a word for its heat is a water bath's, °C.
const BATH_BELOW_C: f64 = 88.0;
/// What an oven is called, and what that is taken for, °C. Practice.
const OVENS: [(&[&str], f64); 5] = [
    (&["warm"], 100.0),
    (&["low", "cool"], 140.0),
    (&["slow"], 150.0),
    (&["moderate", "medium"], 180.0),
    (&["hot"], 210.0),
];
/// What burns or glows under a pot.
const FLAMES: [&str; 5] = ["flame", "flames", "heat", "fire", "burner"];

/// The way a step's words name, with what of its heat they say.
pub(super) struct NamedWay {
    pub method: Method,
    pub heat: Heat,
    pub lid: Option<Lid>,
    /// What had to be supposed of it.
    pub guess: Option<Guess>,
    /// The heat of the step before goes on.
    pub goes_on: bool,
}

impl NamedWay {
    fn of(method: Method, heat: Heat) -> Self {
        Self { method, heat, lid: None, guess: None, goes_on: false }
    }

    fn supposing(self, guess: Guess) -> Self {
        Self { guess: Some(guess), ..self }
    }
}

/// The words of a step, and where it ends in the text.
pub(super) struct Words<'a> {
    pub tokens: &'a [PlacedToken],
    pub end: usize,
}

impl Words<'_> {
    /// Whether a word begins with one of these.
    pub(super) fn has(&self, words: &[&str]) -> bool {
        let begins = |word: &str| words.iter().any(|known| word.starts_with(known));
        self.tokens.iter().any(|placed| matches!(&placed.token, Token::Word(word) if begins(word)))
    }

    /// Whether a word is one of these.
    fn exactly(&self, words: &[&str]) -> bool {
        self.find(words).is_some()
    }

    fn find(&self, words: &[&str]) -> Option<usize> {
        self.tokens.iter().position(|token| is_word(Some(token), words))
    }

    /// One of these words before one of those.
    fn pair(&self, first: &[&str], then: &[&str]) -> Option<Range<usize>> {
        let at = (0..self.tokens.len())
            .find(|&at| is_word(self.tokens.get(at), first) && is_word(self.tokens.get(at + 1), then))?;
        Some(self.tokens[at].at.start..self.tokens[at + 1].at.end)
    }

    /// Supposed where nothing says it: written behind the step.
    fn unsaid<const N: usize>(&self, said: Message, instead: [Message; N]) -> Guess {
        Guess::replacing(said, self.end..self.end, instead)
    }

    /// Low or high on something that is not named: one of them must be asked.
    pub(super) fn low_on_what(&self, figures: &Figures, before: Option<Method>) -> bool {
        if before == Some(Method::SlowCooker) {
            return false;
        }
        let named = self.has(&["slow", "crock", "oven", "pressure", "hob", "stove", "simmer", "pit", "smok", "coal"]);
        let flame = self.exactly(&FLAMES) || self.exactly(&["gas"]);
        self.exactly(&["low", "high", "medium"]) && !named && !flame && figures.celsius.is_none()
    }

    /// The way they name; `before` is the one of the step before.
    pub(super) fn way(&self, figures: &Figures, before: Option<Method>) -> NamedWay {
        let celsius = figures.celsius;
        None.or_else(|| self.kept_warm(celsius))
            .or_else(|| self.under_pressure())
            .or_else(|| self.in_the_crock(before))
            .or_else(|| self.in_the_pit(celsius))
            .or_else(|| self.in_a_bath(celsius))
            .or_else(|| self.under_fat(celsius))
            .unwrap_or_else(|| NamedWay { lid: self.lid(), ..self.in_a_pot(figures, before) })
    }

    pub(super) fn lid(&self) -> Option<Lid> {
        let off = self.pair(&["lid"], &["off"]).is_some() || self.pair(&["without"], &["lid"]).is_some();
        let without = off || self.has(&["uncover"]) || self.exactly(&["open"]);
        if without || self.exactly(&["lidless"]) {
            return Some(Lid::None);
        }
        if self.has(&["ajar", "partially", "partly"]) || self.pair(&["half"], &["covered"]).is_some() {
            return Some(Lid::Ajar);
        }
        (self.has(&["tight"]) || self.exactly(&["sealed"])).then_some(Lid::Tight)
    }

    fn kept_warm(&self, celsius: Option<f64>) -> Option<NamedWay> {
        let kept = self.pair(&["keep", "kept", "keeping"], &["warm"]).is_some()
            || self.exactly(&["keepwarm"])
            || self.has(&["warming"])
            || self
                .tokens
                .windows(3)
                .any(|three| is_word(three.first(), &["keep"]) && is_word(three.last(), &["warm"]));
        kept.then(|| NamedWay::of(Method::KeepWarm, Heat { at_c: celsius, ..Heat::default() }))
    }

    fn under_pressure(&self) -> Option<NamedWay> {
        let level = if self.exactly(&["low"]) { Settings::Low } else { Settings::High };
        let release = self.has(&["quick"]).then_some(Release::Quick);
        let heat = Heat { level: Some(level), release, ..Heat::default() };
        self.has(&["pressure"]).then(|| NamedWay::of(Method::Pressure, heat))
    }

    fn in_the_crock(&self, before: Option<Method>) -> Option<NamedWay> {
        // A slow oven is an oven, a slow flame a flame, and what is cooked slowly may be anywhere.
        let named = self.pair(&["slow"], &["cooker", "cook", "cooked"]).is_some();
        let turned = before == Some(Method::SlowCooker) && self.exactly(&["low", "high"]);
        let slow = named || turned || self.has(&["crock", "slowcook"]);
        if !slow || self.has(&["oven"]) || self.exactly(&FLAMES) {
            return None;
        }
        let setting = if self.exactly(&["high"]) { Settings::High } else { Settings::Low };
        let way = NamedWay::of(Method::SlowCooker, Heat { setting: Some(setting), ..Heat::default() });
        let said = self.exactly(&["low", "high"]);
        Some(if said { way } else { way.supposing(self.unsaid(say::on_low(), [say::instead_on_high()])) })
    }

    fn in_the_pit(&self, celsius: Option<f64>) -> Option<NamedWay> {
        let mut way = (self.has(&["smok", "barbecue", "grill"]) || self.exactly(&["pit"]))
            .then(|| NamedWay::of(Method::Smoke, Heat::default()))?;
        let material = match () {
            () if self.has(&["foil"]) => Some(WrapMaterial::Foil),
            () if self.has(&["paper", "wrap"]) => Some(WrapMaterial::Paper),
            () => None,
        };
        way.heat.wrap = material.map(|material| Wrap { material, at_core_c: Some(USUAL_WRAP_C) });
        way.heat.pit_c = Some(celsius.unwrap_or(USUAL_PIT_C));
        let instead = [125.0, 135.0].map(|pit_c| say::instead_pit(Dial(pit_c)));
        Some(if celsius.is_some() { way } else { way.supposing(self.unsaid(say::a_pit(Dial(USUAL_PIT_C)), instead)) })
    }

    fn in_a_bath(&self, celsius: Option<f64>) -> Option<NamedWay> {
        let mut way = self
            .has(&["bath", "bag", "vide", "circulator"])
            .then(|| NamedWay::of(Method::WaterBath, Heat::default()))?;
        way.heat.bath_c = Some(celsius.unwrap_or(USUAL_BATH_C));
        let guess = || {
            self.unsaid(say::a_bath(Temperature(USUAL_BATH_C)), [75.0, 68.0].map(|c| say::instead_at(Temperature(c))))
        };
        Some(if celsius.is_some() { way } else { way.supposing(guess()) })
    }

    fn under_fat(&self, celsius: Option<f64>) -> Option<NamedWay> {
        let mut way = (self.has(&["confit"]) || self.exactly(&["fat", "oil", "dripping"]))
            .then(|| NamedWay::of(Method::Confit, Heat::default()))?;
        way.heat.fat_c = Some(celsius.unwrap_or(USUAL_FAT_C));
        let guess = || {
            self.unsaid(say::some_fat(Temperature(USUAL_FAT_C)), [85.0, 95.0].map(|c| say::instead_at(Temperature(c))))
        };
        Some(if celsius.is_some() { way } else { way.supposing(guess()) })
    }

    fn in_a_pot(&self, figures: &Figures, before: Option<Method>) -> NamedWay {
        let celsius = figures.celsius;
        let by_coals = figures.under.is_some() || figures.over.is_some();
        if by_coals || self.has(&["coal", "ember", "campfire", "briquette"]) {
            let heat = Heat { under: figures.under, over: figures.over, ..Heat::default() };
            return NamedWay::of(Method::Braise, Heat { source: Some(HeatSource::Coals), ..heat });
        }
        let oven = self.has(&["oven"]) || self.exactly(&["roast", "roasted", "bake", "baked"]);
        let flame = self.exactly(&FLAMES);
        let hob = flame || self.has(&["simmer", "hob", "stove", "boil", "bubbl"]);
        if celsius.is_none() && hob && !oven {
            return self.on_the_hob();
        }
        if let Some(cool) = celsius.filter(|celsius| *celsius < BATH_BELOW_C && !oven) {
            let way = NamedWay::of(Method::WaterBath, Heat { bath_c: Some(cool), ..Heat::default() });
            return way.supposing(self.unsaid(say::cool_is_a_bath(), [say::instead_oven_only()]));
        }
        // A step that says nothing of its heat goes on in the same pot.
        let wet = matches!(before, Some(Method::Braise | Method::Stew | Method::SlowCooker | Method::Pressure));
        if celsius.is_none() && !oven && wet && (self.lid().is_some() || self.has(&["more", "longer", "further"])) {
            return NamedWay { goes_on: true, ..NamedWay::of(Method::Braise, Heat::default()) };
        }
        let mut way = NamedWay::of(Method::Braise, Heat { source: Some(HeatSource::Oven), ..Heat::default() });
        way.heat.fan = (celsius.is_some() && self.exactly(&["fan", "convection"])).then_some(true);
        let called = OVENS.iter().find_map(|&(words, set_c)| {
            let place = self.pair(words, &["oven"])?;
            Some((place, set_c))
        });
        way.heat.set_c = Some(celsius.or(called.as_ref().map(|called| called.1)).unwrap_or(USUAL_OVEN_C));
        // A step that goes on in the same pot supposes nothing new.
        let goes_on = before == Some(Method::Braise) && (self.has(&["braise"]) || self.lid().is_some());
        way.guess = match (celsius, called) {
            (Some(_), _) => None,
            (None, Some((place, set_c))) => {
                let instead = [set_c - 20.0, set_c + 20.0].map(|set_c| say::instead_oven(Dial(set_c)));
                Some(Guess::replacing(say::called_oven(Dial(set_c)), place, instead))
            }
            (None, None) if goes_on => None,
            (None, None) if oven => {
                let instead = [130.0, 170.0].map(|set_c| say::instead_at_dial(Dial(set_c)));
                Some(self.unsaid(say::an_oven(Dial(USUAL_OVEN_C)), instead))
            }
            (None, None) => {
                let lidded = say::a_lidded_pot(Dial(USUAL_OVEN_C));
                Some(match self.lid() {
                    // What is uncovered on the way is neither pressed nor crocked.
                    Some(_) => self.unsaid(lidded, [say::instead_hob()]),
                    None => self.unsaid(lidded, [say::instead_hob(), say::instead_pressure(), say::instead_crock()]),
                })
            }
        };
        way
    }

    fn on_the_hob(&self) -> NamedWay {
        let heat = |simmer| Heat { source: Some(HeatSource::Hob), simmer: Some(simmer), ..Heat::default() };
        if let Some(simmer) = self.bubbles() {
            return NamedWay::of(Method::Braise, heat(simmer));
        }
        let flames = [
            (["low", "small"], Simmer::Gentle),
            (["medium", "moderate"], Simmer::Brisk),
            (["high", "full"], Simmer::Boil),
        ];
        let found = flames.into_iter().find_map(|(words, simmer)| {
            let at = self.find(&words)?;
            Some((self.tokens[at].at.clone(), simmer))
        });
        let Some((place, simmer)) = found else {
            let guess =
                self.unsaid(say::some_simmer(Simmer::Gentle.key()), [say::instead_lazy(), say::instead_brisk()]);
            let simmers = self.has(&["simmer"]);
            let way = NamedWay::of(Method::Braise, heat(Simmer::Gentle));
            return if simmers { way } else { way.supposing(guess) };
        };
        let guess = Guess::replacing(
            say::flame_is(simmer.key()),
            place.end..place.end,
            [say::instead_lazy(), say::instead_brisk()],
        );
        NamedWay::of(Method::Braise, heat(simmer)).supposing(Guess { at: self.end..self.end, ..guess })
    }

    /// How it bubbles, where that is said.
    fn bubbles(&self) -> Option<Simmer> {
        match () {
            () if self.has(&["lazy", "lazily", "bare", "barely"]) => Some(Simmer::Lazy),
            () if self.has(&["gentl"]) => Some(Simmer::Gentle),
            () if self.has(&["brisk", "fast"]) => Some(Simmer::Brisk),
            () if self.exactly(&["boil", "boiling", "boiled"]) => Some(Simmer::Boil),
            () => None,
        }
    }
}
