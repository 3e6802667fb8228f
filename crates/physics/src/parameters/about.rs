//! What is known of a value, and groups of values with what is known of each.

/// Where a value is from.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Source {
    /// Out of the literature of food science and engineering.
    Published,
    /// What cooks measure, or say.
    Practice,
    /// Fitted to everyday practice, or to published curves.
    Fitted,
    /// A reasoned guess that nobody has measured for us.
    Working,
}

/// What is known of one value.
pub struct About<P> {
    /// Group and name, and between them the kind where there are several: `surface.liquid`, `wall.iron.specific_heat`.
    pub name: String,
    /// What it is.
    pub text: &'static str,
    /// Its unit; empty where it has none.
    pub unit: &'static str,
    /// Where it is from.
    pub source: Source,
    /// Between what it could plausibly lie.
    pub range: [f64; 2],
    pub(super) place: Box<dyn Fn(&mut P) -> &mut f64 + Send + Sync>,
}

impl<P: Clone> About<P> {
    /// It, in a set.
    pub fn get(&self, parameters: &P) -> f64 {
        *(self.place)(&mut parameters.clone())
    }

    /// Puts it into a set.
    pub fn set(&self, parameters: &mut P, value: f64) {
        *(self.place)(parameters) = value;
    }
}

/// A group of values: a struct of plain figures, their usual ones, and what is known of each.
macro_rules! group {
    ($(#[doc = $about:literal])+ $Group:ident {
        $(#[doc = $text:literal] $field:ident: $unit:literal = $value:expr, $low:literal..=$high:literal, $source:ident;)+
    }) => {
        $(#[doc = $about])+
        #[derive(Debug, Clone, Copy, PartialEq)]
        pub struct $Group {
            $(#[doc = $text] pub $field: f64,)+
        }

        impl $Group {
            /// As it usually is.
            pub const USUAL: Self = Self { $($field: $value,)+ };

            fn about(all: &mut Vec<About<Parameters>>, group: &str, of: fn(&mut Parameters) -> &mut Self) {
                $(all.push(About {
                    name: format!("{group}.{}", stringify!($field)),
                    text: $text.trim_ascii(),
                    unit: $unit,
                    source: Source::$source,
                    range: [$low, $high],
                    place: Box::new(move |parameters| &mut of(parameters).$field),
                });)+
            }
        }
    };
}

/// The same for several kinds of one thing; a value could lie between so many times it and so many.
macro_rules! kinds {
    ($(#[doc = $about:literal])+ $Group:ident of [$($kind:ident),+] {
        $(#[doc = $text:literal] $field:ident: $unit:literal = [$($value:expr),+], $low:literal..=$high:literal, $source:ident;)+
    }) => {
        $(#[doc = $about])+
        #[derive(Debug, Clone, Copy, PartialEq)]
        pub struct $Group {
            $(#[doc = $text] pub $field: f64,)+
        }

        impl $Group {
            const KINDS: [&'static str; [$(stringify!($kind)),+].len()] = [$(stringify!($kind)),+];
            /// As they usually are.
            pub const USUAL: [Self; Self::KINDS.len()] = {
                let mut all = [Self { $($field: 0.0,)+ }; Self::KINDS.len()];
                let mut at = 0;
                while at < all.len() {
                    all[at] = Self { $($field: [$($value),+][at],)+ };
                    at += 1;
                }
                all
            };

            fn about(all: &mut Vec<About<Parameters>>, group: &str, of: fn(&mut Parameters) -> &mut [Self; Self::KINDS.len()]) {
                for (at, kind) in Self::KINDS.iter().enumerate() {
                    $({
                        let value = Self::USUAL[at].$field;
                        all.push(About {
                            name: format!("{group}.{kind}.{}", stringify!($field)),
                            text: $text.trim_ascii(),
                            unit: $unit,
                            source: Source::$source,
                            range: [value * $low, value * $high],
                            place: Box::new(move |parameters| &mut of(parameters)[at].$field),
                        });
                    })+
                }
            }
        }
    };
}

/// All groups together.
macro_rules! parameters {
    ($($(#[doc = $text:literal])+ $group:ident: $Type:ident $([$count:literal])?,)+) => {
        /// A set of parameters: what a run goes by.
        #[derive(Debug, Clone, PartialEq)]
        pub struct Parameters {
            $($(#[doc = $text])+ pub $group: parameters!(@type $Type $($count)?),)+
            /// What is believed of the kitchen and its meat: what is learned of them narrows it.
            pub beliefs: Beliefs,
        }

        impl Parameters {
            /// The usual ones, of a kitchen nothing is known of.
            pub const USUAL: Self = Self { $($group: <$Type>::USUAL,)+ beliefs: UNKNOWN };

            /// What is known of each value.
            pub fn about() -> Vec<About<Parameters>> {
                let mut all = Vec::new();
                $(<$Type>::about(&mut all, stringify!($group), |parameters| &mut parameters.$group);)+
                all
            }
        }
    };
    (@type $Type:ident) => { $Type };
    (@type $Type:ident $count:literal) => { [$Type; $count] };
}
