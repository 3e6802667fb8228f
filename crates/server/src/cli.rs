//! The command line: the stateless computations on files, and the server.

use std::io::{Read, Write};
use std::net::IpAddr;
use std::path::{Path, PathBuf};
use std::process::ExitCode;
use std::time::Duration;

use clap::{Parser, Subcommand};
use ergastic_core::clock::Hours;
use ergastic_core::kitchen::Kitchen;
use ergastic_store::{Lock, Store};
use ergastic_words::{Message, Voice, service as say};

use crate::app::App;
use crate::clock::ServerClock;
use crate::compute::{self, Computation};
use crate::router::{api_document, router};
use crate::{demo, opened, serve, upkeep};

/// Cooks tough beef on time.
#[derive(Debug, Parser)]
#[command(version, about)]
pub struct Cli {
    #[command(subcommand)]
    command: Command,
}

#[derive(Debug, Subcommand)]
enum Command {
    /// Forecast when a cut is tender, from a JSON file (`-` is standard input).
    Forecast {
        /// The request.
        file: PathBuf,
    },
    /// Match a cut to the ways of cooking it.
    Match {
        /// The request.
        file: PathBuf,
    },
    /// Work out one dish at the bench, salt to lid.
    Prepare {
        /// The request.
        file: PathBuf,
    },
    /// Work a meal back from its bell.
    Sheet {
        /// The request.
        file: PathBuf,
    },
    /// Work out the path from the liquid in the pot to the sauce.
    Sauce {
        /// The request.
        file: PathBuf,
    },
    /// Print the API's OpenAPI document.
    Openapi,
    /// Start the application.
    Serve {
        /// Start with the demo kitchen if the folder holds none.
        #[arg(long)]
        demo: bool,
        /// Let the kitchen's other screens in at this address of your own network; 0.0.0.0 is all of them. They need the passphrase.
        /// 127.0.0.1 and its kind let nobody else in: the same as leaving it out.
        #[arg(long, value_name = "ADDRESS")]
        host: Option<IpAddr>,
        /// A name that leads to this machine on your network, such as galley.lan; may be given several times.
        #[arg(long = "name", value_name = "NAME", requires = "host")]
        names: Vec<String>,
        /// Port; 0 picks a free one.
        #[arg(long, default_value_t = 4870)]
        port: u16,
        /// Folder of the database.
        #[arg(long, default_value = "data")]
        data: PathBuf,
        /// The kitchen's clock runs so many times as fast as the machine's, to see a whole cook in minutes.
        #[arg(long, default_value_t = 1.0)]
        speed: f64,
    },
    /// Set the passphrase with which other screens enter; every one of them signs in anew.
    Passphrase {
        /// Folder of the database.
        #[arg(long, default_value = "data")]
        data: PathBuf,
    },
    /// Copy the whole kitchen into a new file, also while the application runs.
    Backup {
        /// The copy.
        file: PathBuf,
        /// Folder of the database.
        #[arg(long, default_value = "data")]
        data: PathBuf,
    },
    /// Put a copy in the place of the kitchen; what was there is kept beside it.
    Restore {
        /// The copy.
        file: PathBuf,
        /// Folder of the database.
        #[arg(long, default_value = "data")]
        data: PathBuf,
    },
}

/// The database in its folder.
const DATABASE: &str = "ergastic.sqlite";

/// The kitchen's clock runs so many times as fast as the machine's at the most: a day in a minute and a half.
const MAX_SPEED: f64 = 1000.0;

/// Bad input.
const EXIT_BAD_INPUT: u8 = 2;

/// Runs a command; bad input is one line on standard error and exit code 2.
pub async fn run(cli: Cli) -> ExitCode {
    let outcome = match cli.command {
        Command::Forecast { file } => compute_file(Computation::Forecast, &file),
        Command::Match { file } => compute_file(Computation::Match, &file),
        Command::Prepare { file } => compute_file(Computation::Prepare, &file),
        Command::Sheet { file } => compute_file(Computation::Sheet, &file),
        Command::Sauce { file } => compute_file(Computation::Sauce, &file),
        Command::Openapi => {
            let document = api_document();
            document.to_pretty_json().map_err(|error| (error.to_string(), 1)).and_then(|json| print(&json))
        }
        Command::Serve { demo, host, names, port, data, speed } => {
            if let Some(own) = host.filter(IpAddr::is_loopback) {
                eprintln!("ergastic: {}", told(say::host_is_own(&own.to_string())));
            }
            let beyond = host.filter(|host| !host.is_loopback()).map(|host| (host, names));
            start(demo, beyond, port, data, speed).await.map_err(failed)
        }
        Command::Passphrase { data } => passphrase(&data).await.map_err(failed),
        Command::Backup { file, data } => backup(&file, &data).await.map_err(failed),
        Command::Restore { file, data } => restore(&file, &data).await.map_err(failed),
    };
    match outcome {
        Ok(()) => ExitCode::SUCCESS,
        Err((line, code)) => {
            eprintln!("ergastic: {}", line.replace('\n', " "));
            ExitCode::from(code)
        }
    }
}

/// The command line speaks before any kitchen is open.
fn told(said: Message) -> String {
    Voice::default().render(said)
}

fn shown(path: &Path) -> String {
    path.display().to_string()
}

fn failed(error: anyhow::Error) -> (String, u8) {
    (format!("{error:#}"), 1)
}

async fn backup(file: &Path, data: &Path) -> anyhow::Result<()> {
    let database = data.join(DATABASE);
    anyhow::ensure!(database.is_file(), told(say::no_kitchen_in(&shown(data))));
    let store = Store::open(&database).await?;
    store.backup(file).await?;
    store.close().await;
    println!("{}", told(say::holds_the_kitchen(&shown(file))));
    Ok(())
}

async fn restore(file: &Path, data: &Path) -> anyhow::Result<()> {
    make_folder(data)?;
    let _alone = Lock::take(data)?;
    let aside = ergastic_store::restore(file, &data.join(DATABASE), jiff::Timestamp::now()).await?;
    println!("{}", told(say::kitchen_is_back(&shown(file), &shown(data))));
    if let Some(aside) = aside {
        println!("{}", told(say::was_there(&shown(&aside))));
    }
    Ok(())
}

async fn passphrase(data: &Path) -> anyhow::Result<()> {
    use anyhow::Context;
    make_folder(data)?;
    let store = Store::open(&data.join(DATABASE)).await.with_context(|| told(say::database_not_opened()))?;
    let set = opened::ask_passphrase(&store).await;
    store.close().await;
    set
}

/// Makes a folder with access for its owner alone. One that is there and open to others is tightened where it holds nothing but a
/// kitchen, and else warned of.
fn make_folder(folder: &Path) -> anyhow::Result<()> {
    use anyhow::Context;
    use std::os::unix::fs::{DirBuilderExt, PermissionsExt};
    let failed = || told(say::no_folder(&shown(folder)));
    std::fs::DirBuilder::new().recursive(true).mode(0o700).create(folder).with_context(failed)?;
    let mode = std::fs::metadata(folder).with_context(failed)?.permissions().mode();
    if mode & 0o077 == 0 {
        return Ok(());
    }
    let ours =
        |name: &str| name.starts_with(DATABASE) || ["ergastic.lock", "backups", "authority.json"].contains(&name);
    let others = std::fs::read_dir(folder).with_context(failed)?.filter_map(Result::ok).any(|entry| {
        let name = entry.file_name();
        !name.to_str().is_some_and(ours)
    });
    let tightened = !others && std::fs::set_permissions(folder, std::fs::Permissions::from_mode(0o700)).is_ok();
    if !tightened {
        eprintln!("ergastic: {}", told(say::folder_is_open(&shown(folder))));
    }
    Ok(())
}

fn compute_file(computation: Computation, file: &PathBuf) -> Result<(), (String, u8)> {
    /// A request larger than this is not a request.
    const MAX_BYTES: u64 = 1 << 20;
    let mut text = Vec::new();
    let read = if file.as_os_str() == "-" {
        std::io::stdin().take(MAX_BYTES + 1).read_to_end(&mut text)
    } else {
        std::fs::File::open(file).and_then(|open| open.take(MAX_BYTES + 1).read_to_end(&mut text))
    };
    read.map_err(|error| (format!("{}: {error}", file.display()), EXIT_BAD_INPUT))?;
    if text.len() as u64 > MAX_BYTES {
        return Err((told(say::file_too_large(&shown(file), MAX_BYTES as u32)), EXIT_BAD_INPUT));
    }
    let answer = compute::run(computation, &text, jiff::Timestamp::now())
        .map_err(|error| (error.to_string(), EXIT_BAD_INPUT))?;
    print(&answer)
}

/// Prints an answer; whoever reads it may stop early, and that is no fault.
fn print(answer: &str) -> Result<(), (String, u8)> {
    match writeln!(std::io::stdout(), "{answer}") {
        Err(error) if error.kind() != std::io::ErrorKind::BrokenPipe => {
            Err((told(say::standard_output(&error.to_string())), 1))
        }
        _ => Ok(()),
    }
}

async fn start(
    demo: bool,
    beyond: Option<(IpAddr, Vec<String>)>,
    port: u16,
    data: PathBuf,
    speed: f64,
) -> anyhow::Result<()> {
    use anyhow::Context;
    anyhow::ensure!((1.0..=MAX_SPEED).contains(&speed), told(say::no_speed(speed, MAX_SPEED)));
    if let Some((host, names)) = &beyond {
        opened::check_host(*host, names)?;
    }
    let clock = ServerClock::at_speed(speed);
    tracing_subscriber::fmt()
        .with_env_filter(tracing_subscriber::EnvFilter::try_from_default_env().unwrap_or_else(|_| "warn".into()))
        .with_writer(std::io::stderr)
        .init();
    make_folder(&data)?;
    let _alone = Lock::take(&data)?;
    let store = Store::open(&data.join(DATABASE)).await.with_context(|| told(say::database_not_opened()))?;
    if demo {
        demo::fill(&store, clock.now()).await.with_context(|| told(say::demo_not_loaded()))?;
    }
    // A kitchen whose clock runs fast goes on where it was: nothing in it lies ahead of its clock.
    let last = store.last_happened().await?.filter(|last| speed != 1.0 && *last > clock.now());
    let clock = last.map_or(clock, |last| clock.set_to(last));
    if store.is_new().await? {
        // A new kitchen starts in the time zone of the machine it stands on, until the first device that comes says its own; its cook
        // sleeps at night.
        let zone = jiff::tz::TimeZone::system().iana_name().unwrap_or("UTC").to_owned();
        let asleep = vec![Hours("23:00".into(), "06:30".into())];
        store
            .save_kitchen(0, &Kitchen { zone, asleep, as_it_came: true, ..Kitchen::default() }, false, clock.now())
            .await?;
    }
    upkeep::know_facts(&store).await?;
    let app = App::with_clock(store.clone(), clock)?;
    let (listeners, port) = opened::listeners(beyond.as_ref().map(|(host, _)| *host), port).await?;
    let outer = match &beyond {
        Some((host, names)) => Some(opened::open(&app, &data, *host, names, port).await?),
        None => None,
    };
    println!("http://127.0.0.1:{port}");
    if let Some(outer) = &outer {
        opened::announce(outer);
    }
    tokio::spawn(upkeep::go_on(app.clone()));
    let changes = app.changes.clone();
    serve::serve(listeners, router(app), outer, stop_asked(), move || changes.end()).await?;
    // What was acknowledged is on the disk; the rest of a second is for the log to be moved into the database.
    let _ = tokio::time::timeout(Duration::from_secs(1), store.close()).await;
    Ok(())
}

/// Until someone asks to stop; who asks twice means at once.
async fn stop_asked() {
    let mut terminate = tokio::signal::unix::signal(tokio::signal::unix::SignalKind::terminate())
        .expect("the signal can be listened to");
    let mut interrupt = tokio::signal::unix::signal(tokio::signal::unix::SignalKind::interrupt())
        .expect("the signal can be listened to");
    tokio::select! {
        _ = terminate.recv() => {}
        _ = interrupt.recv() => {}
    }
    tokio::spawn(async move {
        tokio::select! {
            _ = terminate.recv() => {}
            _ = interrupt.recv() => {}
        }
        std::process::exit(130);
    });
}
