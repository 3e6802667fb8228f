//! A line between a screen and the kitchen that can be cut, as a network does it: what is under way breaks off, and nothing gets
//! through until it is mended.

use tokio::net::{TcpListener, TcpStream};
use tokio::sync::watch;
use tokio::task::JoinHandle;

/// The line; it ends when this is dropped.
pub struct Line {
    /// Where a screen takes it up.
    pub port: u16,
    cut: watch::Sender<bool>,
    task: JoinHandle<()>,
}

impl Line {
    /// A line to a port of this machine.
    ///
    /// # Errors
    /// When no port is to be had.
    pub async fn to(port: u16) -> anyhow::Result<Self> {
        let listener = TcpListener::bind(("127.0.0.1", 0)).await?;
        let own = listener.local_addr()?.port();
        let (cut, cuts) = watch::channel(false);
        let task = tokio::spawn(async move {
            while let Ok((device, _)) = listener.accept().await {
                tokio::spawn(carry(device, port, cuts.clone()));
            }
        });
        Ok(Self { port: own, cut, task })
    }

    /// Cuts the line, or mends it.
    pub fn cut(&self, cut: bool) {
        self.cut.send_replace(cut);
    }
}

impl Drop for Line {
    fn drop(&mut self) {
        self.task.abort();
    }
}

async fn carry(mut device: TcpStream, port: u16, mut cuts: watch::Receiver<bool>) {
    if *cuts.borrow() {
        return;
    }
    let Ok(mut kitchen) = TcpStream::connect(("127.0.0.1", port)).await else { return };
    tokio::select! {
        _ = tokio::io::copy_bidirectional(&mut device, &mut kitchen) => {}
        _ = cuts.wait_for(|cut| *cut) => {}
    }
}
