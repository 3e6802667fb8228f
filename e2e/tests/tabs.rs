//! More pages than a browser has connections: all of them work, and all hear what changes.

use std::time::Duration;

use anyhow::{Context, ensure};
use ergastic_e2e::{Kitchen, Viewport};

#[tokio::test]
async fn eight_tabs_share_one_stream_and_all_of_them_hear() -> anyhow::Result<()> {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/sheet").await?;
    kitchen.says("Planned dishes").await?;
    let browser = &kitchen.browser;
    for _ in 1..8 {
        browser.new_window(true).await?;
        let last = browser.windows().await?.pop().context("a new tab")?;
        browser.switch_to_window(last).await?;
        // With a connection for each page the seventh would wait for ever.
        kitchen.go("/sheet").await?;
        kitchen.says("Planned dishes").await?;
    }
    // A dish is put away in the last tab; the others drop it from their lists by themselves.
    let tabs = browser.windows().await?;
    let named = "return document.querySelector('main a p')?.closest('a') && \
                 [...document.querySelectorAll('main button[aria-label^=\"Put \"]')].map(b => b.ariaLabel)";
    let before = browser.execute(named, vec![]).await?.as_array().map_or(0, Vec::len);
    ensure!(before >= 3, "the demo has dishes planned: {before}");
    kitchen.find("//main//button[starts-with(@aria-label, 'Put ')]").await?.click().await?;
    kitchen.says("is in the bin").await?;
    for tab in tabs {
        browser.switch_to_window(tab).await?;
        let mut left = before;
        for _ in 0..100 {
            left = browser.execute(named, vec![]).await?.as_array().map_or(0, Vec::len);
            if left == before - 1 {
                break;
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        ensure!(left == before - 1, "a tab still shows {left} of {before}");
    }
    // The tab that listens is closed: another takes its place.
    let tabs = browser.windows().await?;
    browser.switch_to_window(tabs[0].clone()).await?;
    browser.close_window().await?;
    browser.switch_to_window(tabs[7].clone()).await?;
    kitchen.press("Take it back").await?;
    browser.switch_to_window(tabs[1].clone()).await?;
    kitchen.find(&format!("(//main//button[starts-with(@aria-label, 'Put ')])[{before}]")).await?;
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}
