//! Child processes that take their whole group with them when they end.

use std::ffi::OsStr;
use std::io::{BufRead, BufReader, Write};
use std::os::unix::process::CommandExt;
use std::path::Path;
use std::process::{Child, Command, Stdio};
use std::sync::atomic::{AtomicU32, Ordering};
use std::sync::mpsc::{Receiver, channel};
use std::time::{Duration, Instant};

use anyhow::{Context, bail};

/// A number no other caller in this process gets.
pub fn unique() -> u32 {
    static NEXT: AtomicU32 = AtomicU32::new(0);
    NEXT.fetch_add(1, Ordering::Relaxed)
}

/// A running child in a process group of its own.
pub struct Running {
    child: Child,
    lines: Receiver<String>,
}

impl Running {
    /// Starts a program; its output is read on so that it never blocks.
    pub fn start(program: &Path, arguments: &[impl AsRef<OsStr>]) -> anyhow::Result<Self> {
        let mut child = Command::new(program)
            .args(arguments)
            .stdin(Stdio::null())
            .stdout(Stdio::piped())
            .stderr(Stdio::inherit())
            .process_group(0)
            .spawn()
            .with_context(|| format!("{} does not start", program.display()))?;
        let output = child.stdout.take().context("the child has no output")?;
        let (send, lines) = channel();
        std::thread::spawn(move || {
            for line in BufReader::new(output).lines().map_while(Result::ok) {
                // Nobody listens after the first lines; the pipe is drained all the same.
                let _ = send.send(line);
            }
        });
        Ok(Self { child, lines })
    }

    /// The first line from which something is found.
    pub fn wait_for_line(&self, found: impl Fn(&str) -> Option<String>) -> anyhow::Result<String> {
        let until = Instant::now() + Duration::from_secs(30);
        while let Some(left) = until.checked_duration_since(Instant::now()) {
            match self.lines.recv_timeout(left) {
                Ok(line) => {
                    if let Some(found) = found(&line) {
                        return Ok(found);
                    }
                }
                Err(_) => break,
            }
        }
        bail!("process {} did not say where it listens", self.child.id())
    }
}

/// Runs a program to its end with a line on its standard input.
pub fn tell(program: &Path, arguments: &[&str], line: &str) -> anyhow::Result<()> {
    let mut child = Command::new(program).args(arguments).stdin(Stdio::piped()).stdout(Stdio::null()).spawn()?;
    child.stdin.take().context("the child takes no input")?.write_all(line.as_bytes())?;
    if !child.wait()?.success() {
        bail!("{} failed", program.display());
    }
    Ok(())
}

impl Drop for Running {
    fn drop(&mut self) {
        let group = format!("-{}", self.child.id());
        let _ = Command::new("kill").args(["-KILL", "--", &group]).status();
        let _ = self.child.wait();
    }
}
