//! A connection that waits only so long for its other end to take what is sent: who never reads gives its place back.

use std::io;
use std::pin::Pin;
use std::task::{Context, Poll, ready};
use std::time::Duration;

use tokio::io::{AsyncRead, AsyncWrite, ReadBuf};
use tokio::time::{Instant, Sleep, sleep};

/// A stream whose writes have to get on.
pub struct Patient<S> {
    stream: S,
    patience: Duration,
    /// When the write that is stuck is given up.
    until: Pin<Box<Sleep>>,
    stuck: bool,
}

impl<S> Patient<S> {
    /// Waits so long for each bit of progress.
    pub fn new(stream: S, patience: Duration) -> Self {
        Self { stream, patience, until: Box::pin(sleep(patience)), stuck: false }
    }

    /// What a write came to, given up where it has been stuck for too long.
    fn got_on<T>(&mut self, context: &mut Context, wrote: Poll<io::Result<T>>) -> Poll<io::Result<T>> {
        if wrote.is_ready() {
            self.stuck = false;
            return wrote;
        }
        if !self.stuck {
            self.stuck = true;
            self.until.as_mut().reset(Instant::now() + self.patience);
        }
        ready!(self.until.as_mut().poll(context));
        Poll::Ready(Err(io::ErrorKind::TimedOut.into()))
    }
}

impl<S: AsyncRead + Unpin> AsyncRead for Patient<S> {
    fn poll_read(mut self: Pin<&mut Self>, context: &mut Context, into: &mut ReadBuf) -> Poll<io::Result<()>> {
        Pin::new(&mut self.stream).poll_read(context, into)
    }
}

impl<S: AsyncWrite + Unpin> AsyncWrite for Patient<S> {
    fn poll_write(mut self: Pin<&mut Self>, context: &mut Context, bytes: &[u8]) -> Poll<io::Result<usize>> {
        let wrote = Pin::new(&mut self.stream).poll_write(context, bytes);
        self.got_on(context, wrote)
    }

    fn poll_flush(mut self: Pin<&mut Self>, context: &mut Context) -> Poll<io::Result<()>> {
        let flushed = Pin::new(&mut self.stream).poll_flush(context);
        self.got_on(context, flushed)
    }

    fn poll_shutdown(mut self: Pin<&mut Self>, context: &mut Context) -> Poll<io::Result<()>> {
        let shut = Pin::new(&mut self.stream).poll_shutdown(context);
        self.got_on(context, shut)
    }

    fn poll_write_vectored(
        mut self: Pin<&mut Self>,
        context: &mut Context,
        pieces: &[io::IoSlice],
    ) -> Poll<io::Result<usize>> {
        let wrote = Pin::new(&mut self.stream).poll_write_vectored(context, pieces);
        self.got_on(context, wrote)
    }

    fn is_write_vectored(&self) -> bool {
        self.stream.is_write_vectored()
    }
}

#[cfg(test)]
mod tests {
    use tokio::io::{AsyncReadExt, AsyncWriteExt, duplex};

    use super::*;

    const PATIENCE: Duration = Duration::from_secs(20);

    #[tokio::test(start_paused = true)]
    async fn who_never_reads_is_given_up_and_who_reads_slowly_is_not() {
        let (ours, mut theirs) = duplex(64);
        let began = Instant::now();
        let mut sending = Patient::new(ours, PATIENCE);
        let stuck = sending.write_all(&[0; 1024]).await.unwrap_err();
        assert_eq!((stuck.kind(), began.elapsed().as_secs()), (io::ErrorKind::TimedOut, 20));
        let mut slowly = [0; 64];
        theirs.read_exact(&mut slowly).await.unwrap();

        let (ours, mut theirs) = duplex(64);
        let mut sending = Patient::new(ours, PATIENCE);
        let reading = tokio::spawn(async move {
            let mut bit = [0; 64];
            for _ in 0..16 {
                tokio::time::sleep(Duration::from_secs(15)).await;
                theirs.read_exact(&mut bit).await.unwrap();
            }
        });
        sending.write_all(&[0; 1024]).await.unwrap();
        reading.await.unwrap();
    }
}
