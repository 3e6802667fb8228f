//! The stateless computations, the same for the command line and the API.

use ergastic_core::Error;
use ergastic_core::error::WhatIsWrong;
use ergastic_core::finish::sauce;
use ergastic_core::forecast::forecast;
use ergastic_core::kitchen::Kitchen;
use ergastic_core::matching::match_ways;
use ergastic_core::meal::meal_sheet_anywhere;
use ergastic_core::prepare::prepare_request;
use ergastic_words::Message;
use jiff::Timestamp;
use serde::Serialize;
use serde::de::DeserializeOwned;

use ergastic_core::json::read_object;

/// Which computation.
#[derive(Debug, Clone, Copy)]
pub enum Computation {
    /// When is it tender.
    Forecast,
    /// Which way.
    Match,
    /// Salt to lid.
    Prepare,
    /// A meal back from its bell.
    Sheet,
    /// What becomes of the liquid.
    Sauce,
}

/// Runs a computation on JSON text, to JSON text.
pub fn run(computation: Computation, text: &[u8], now: Timestamp) -> Result<String, Error> {
    match computation {
        Computation::Forecast => answer(text, forecast),
        Computation::Match => answer(text, |request| match_ways(request, &Kitchen::default(), now)),
        Computation::Prepare => answer(text, |request| prepare_request(request, &Kitchen::default())),
        Computation::Sheet => answer(text, |request| meal_sheet_anywhere(request, now)),
        Computation::Sauce => answer(text, sauce),
    }
}

fn answer<Q: DeserializeOwned, A: Serialize>(
    text: &[u8],
    compute: impl Fn(&Q) -> Result<A, Error>,
) -> Result<String, Error> {
    let answer = compute(&read_object(text)?)?;
    serde_json::to_string_pretty(&answer)
        .map_err(|error| Error::new(WhatIsWrong::Unknown, "answer", "", Message::text(error.to_string())))
}
