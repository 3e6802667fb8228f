//! More pages than a browser has connections: all of them work, and all hear what changes.

use std::time::Duration;

use anyhow::{Context, ensure};
use ergastic_e2e::{Kitchen, Viewport};

#[tokio::test]
async fn eight_tabs_share_one_stream_and_all_of_them_hear() -> anyhow::Result<()> {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/sheet").await?;
    kitchen.says("Meals to come").await?;
    let browser = &kitchen.browser;
    for _ in 1..8 {
        browser.new_window(true).await?;
        let last = browser.windows().await?.pop().context("a new tab")?;
        browser.switch_to_window(last).await?;
        // With a connection for each page the seventh would wait for ever.
        kitchen.go("/sheet").await?;
        kitchen.says("Meals to come").await?;
    }
    // A dish is put away in the last tab; the others drop it from their lists by themselves.
    let tabs = browser.windows().await?;
    let named = "return [...document.querySelectorAll('main button[aria-label^=\"Put \"]')].map(b => b.ariaLabel)";
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

#[tokio::test]
async fn a_kitchen_goes_out_of_one_page_and_comes_into_another() -> anyhow::Result<()> {
    let first = Kitchen::open(true, Viewport::Table).await?;
    first.go("/kitchen").await?;
    first.says("Take it along").await?;
    let saved = "return fetch('/api/export').then(answer => answer.text())";
    let text = first.browser.execute(saved, vec![]).await?;
    let file = std::env::temp_dir().join(format!("ergastic-e2e-{}.json", std::process::id()));
    std::fs::write(&file, text.as_str().context("the export is text")?)?;
    first.close().await?;

    let second = Kitchen::open(false, Viewport::Table).await?;
    second.go("/kitchen").await?;
    second.find("//input[@type='file']").await?.send_keys(file.to_str().context("the file's name")?).await?;
    second.says("would bring 10 new plans").await?;
    second.assert_accessible().await?;
    second.press("Bring it in").await?;
    second.says("is in: 10 new plans").await?;
    std::fs::remove_file(&file)?;
    second.go("/log").await?;
    second.says("Auger-crew shin").await?;
    // What is put away waits in the bin until it is taken out.
    second.find("//button[@aria-label='Put Auger-crew shin away']").await?.click().await?;
    second.says("Auger-crew shin is in the bin").await?;
    second.go("/kitchen").await?;
    second.says("a cook, put away").await?;
    second.press("Take out").await?;
    second.says("Nothing is in it").await?;
    second.go("/log").await?;
    second.says("Auger-crew shin").await?;
    second.assert_no_errors().await?;
    second.close().await
}
