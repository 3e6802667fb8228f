//! The `ergastic` command.

use std::process::ExitCode;

use clap::Parser;

#[tokio::main]
async fn main() -> ExitCode {
    ergastic::cli::run(ergastic::cli::Cli::parse()).await
}
