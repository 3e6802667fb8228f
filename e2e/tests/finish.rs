//! The sauce is brought home: its way bent by hand, done step by step, kept, and seen on another screen.

use anyhow::Context;
use ergastic_e2e::{Kitchen, Viewport};

type Outcome = anyhow::Result<()>;

#[tokio::test]
async fn the_way_to_the_sauce_is_bent_by_hand_and_kept_as_it_is_done() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/finish").await?;
    kitchen.press("Ice-road chuck").await?;
    kitchen.says("Bring the sauce home").await?;
    kitchen.says("of work to the sauce").await?;
    kitchen.assert_accessible().await?;
    kitchen.press("coats a spoon").await?;
    kitchen.press("weak").await?;
    kitchen.find("//*[@role='slider'][starts-with(@aria-label, 'Boil it down')]").await?;

    // Bent by hand, salt holds it at its edge, and the figures follow.
    let boiled = "//*[name()='svg']//*[@role='slider'][starts-with(@aria-label, 'Boil it down')]";
    let handle = kitchen.find(boiled).await?;
    let before = handle.attr("aria-label").await?.context("it says how far")?;
    kitchen.drag(&handle, 60, 0).await?;
    let other = format!("{boiled}[@aria-label != \"{before}\"]");
    kitchen.find(&other).await?;
    let bent = kitchen.settled(boiled, "aria-label").await?;

    // Done, it stays done: through a reload, and on another screen.
    kitchen.press_named("Done: Let it settle").await?;
    kitchen.find("//ol/li[contains(., '✓ Let it settle')]").await?;
    let second = kitchen.another_screen(Viewport::Phone).await?;
    let here = kitchen.browser.current_url().await?;
    kitchen.browser.refresh().await?;
    second.browser.goto(here.as_str()).await?;
    for screen in [&kitchen, &second] {
        screen.find("//ol/li[contains(., '✓ Let it settle')]").await?;
        screen.find(&format!("//*[@role='slider'][@aria-label=\"{bent}\"]")).await?;
    }
    second.assert_fits().await?;
    second.assert_accessible().await?;
    kitchen.assert_no_errors().await?;
    second.close().await?;
    kitchen.close().await
}
