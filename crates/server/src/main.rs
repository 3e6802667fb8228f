//! The `ergastic` command.

use std::process::ExitCode;

use clap::Parser;

/// It gives back what forecasts have freed, whichever thread they ran on: twenty screens on one cook take a third of the memory.
/// How soon stands in `.cargo/config.toml`.
#[cfg(feature = "jemalloc")]
#[global_allocator]
static ALLOCATOR: tikv_jemallocator::Jemalloc = tikv_jemallocator::Jemalloc;

fn main() -> ExitCode {
    let command = ergastic::cli::Cli::parse();
    let runtime = match tokio::runtime::Builder::new_multi_thread().enable_all().build() {
        Ok(runtime) => runtime,
        Err(error) => {
            eprintln!("ergastic: it can't be started: {error}");
            return ExitCode::FAILURE;
        }
    };
    let code = runtime.block_on(ergastic::cli::run(command));
    // What is still being worked out for nobody must not hold up the end.
    runtime.shutdown_background();
    code
}
