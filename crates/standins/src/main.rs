//! A simulated thermometer in the middle of a simulated piece: it speaks the open interface a real one would.
//!
//! `ergastic-standins --to 127.0.0.1:4870 --probe galley --cut shin --speed 60` sends a reading for every
//! simulated minute; `--speed` is how many simulated seconds pass in one real second.

use std::io::{Read, Write};
use std::net::TcpStream;
use std::time::Duration;

use anyhow::{Context, ensure};
use clap::Parser;
use ergastic_core::cuts::Cut;
use ergastic_core::forecast::{Forecast, ForecastRequest, forecast};
use ergastic_core::ways::Method;
use jiff::{SignedDuration, Timestamp};
use serde_json::json;
use uuid::Uuid;

#[derive(Parser)]
#[command(version, about = "A simulated thermometer for Ergastic")]
struct Arguments {
    /// Where Ergastic answers, as host:port.
    #[arg(long, default_value = "127.0.0.1:4870")]
    to: String,
    /// The probe's name.
    #[arg(long, default_value = "galley")]
    probe: String,
    /// The cut it is stuck into.
    #[arg(long, default_value = "chuck")]
    cut: String,
    /// Raw mass, kg.
    #[arg(long, default_value_t = 1.4)]
    mass_kg: f64,
    /// Simulated seconds a real second.
    #[arg(long, default_value_t = 1.0)]
    speed: f64,
    /// Minutes to simulate.
    #[arg(long, default_value_t = 240)]
    minutes: u32,
}

fn main() -> anyhow::Result<()> {
    let arguments = Arguments::parse();
    ensure!(
        (0.01..=1e6).contains(&arguments.speed),
        "speed: {} can't be used; it must be 0.01 to 1000000",
        arguments.speed
    );
    let piece = simulate(&arguments)?;
    let wait = Duration::from_secs_f64(60.0 / arguments.speed);
    // The past of a fast cook lies before now, so that no reading is ahead of the clock.
    let start = Timestamp::now() - SignedDuration::from_mins(i64::from(arguments.minutes));
    for minute in 0..arguments.minutes {
        let at =
            if arguments.speed > 1.0 { start + SignedDuration::from_mins(i64::from(minute)) } else { Timestamp::now() };
        let id = Uuid::new_v5(&Uuid::NAMESPACE_OID, format!("{} {at}", arguments.probe).as_bytes());
        let reading = json!([{"id": id, "at": at, "celsius": core_at(&piece, f64::from(minute))}]);
        send(&arguments, &reading.to_string())?;
        std::thread::sleep(wait);
    }
    Ok(())
}

fn simulate(arguments: &Arguments) -> anyhow::Result<Forecast> {
    let request = ForecastRequest {
        cut: Some(Cut::parse("cut", &arguments.cut)?),
        mass_kg: Some(arguments.mass_kg),
        method: Some(Method::Braise),
        members: Some(1),
        ..Default::default()
    };
    let piece = forecast(&request)?;
    ensure!(piece.suitable, "{}", piece.why);
    Ok(piece)
}

/// The middle's temperature at a minute, between the points of the curve, to a tenth of a kelvin.
fn core_at(piece: &Forecast, minute: f64) -> f64 {
    let after = piece.curve.partition_point(|point| point.min <= minute).min(piece.curve.len() - 1).max(1);
    let (from, to) = (&piece.curve[after - 1], &piece.curve[after]);
    let part = ((minute - from.min) / (to.min - from.min)).clamp(0.0, 1.0);
    ((from.core_c + part * (to.core_c - from.core_c)) * 10.0).round() / 10.0
}

/// One request over a plain connection: all that a small device needs to speak.
fn send(arguments: &Arguments, body: &str) -> anyhow::Result<()> {
    let Arguments { to, probe, .. } = arguments;
    let mut connection = TcpStream::connect(to).with_context(|| format!("{to} does not answer"))?;
    write!(
        connection,
        "POST /api/probes/{probe}/readings HTTP/1.1\r\nHost: {to}\r\nContent-Type: application/json\r\n\
         Content-Length: {}\r\nConnection: close\r\n\r\n{body}",
        body.len()
    )?;
    let mut answer = String::new();
    connection.read_to_string(&mut answer)?;
    let status = answer.lines().next().unwrap_or_default();
    ensure!(status.contains(" 200 "), "Ergastic answered {status}");
    Ok(())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_probe_follows_the_middle_of_the_piece() {
        let piece = simulate(&Arguments::parse_from(["standin", "--cut", "shin"])).unwrap();
        let readings: Vec<_> = (0..200).map(|minute| core_at(&piece, f64::from(minute))).collect();
        assert_eq!(readings[0], 5.0);
        assert!(readings.windows(2).all(|pair| pair[1] >= pair[0]) && readings[199] > 90.0);
        assert!(simulate(&Arguments::parse_from(["standin", "--cut", "fillet"])).is_err());
    }
}
