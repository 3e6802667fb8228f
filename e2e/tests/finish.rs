//! The sauce is brought home: its way bent by hand, done step by step, kept, and seen on another screen.

use std::path::Path;

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
    for device in [&kitchen, &second] {
        device.find("//ol/li[contains(., '✓ Let it settle')]").await?;
        device.find(&format!("//*[@role='slider'][@aria-label=\"{bent}\"]")).await?;
    }
    second.assert_fits().await?;
    second.assert_accessible().await?;
    kitchen.assert_no_errors().await?;
    second.close().await?;
    kitchen.close().await
}

#[tokio::test]
async fn from_the_pot_to_the_plate_and_what_is_over_starts_the_next_dish() -> Outcome {
    let kitchen = Kitchen::open(true, Viewport::Table).await?;
    kitchen.go("/finish").await?;
    kitchen.press("Ice-road chuck").await?;
    kitchen.press("To the plate").await?;
    kitchen.says("a head").await?;
    kitchen.says("Beside it on the plate").await?;
    kitchen.fill("Cooked meat, weighed", "3.5").await?;
    kitchen.press("It is so").await?;
    kitchen.says("Weighed: 3.5 kg").await?;
    kitchen.assert_accessible().await?;

    // Held, cooled, kept: under the code that is chosen.
    kitchen.press("Hold, cool, keep").await?;
    kitchen.says("Hold it at 63 °C").await?;
    kitchen.says("All of it the day after").await?;
    kitchen.assert_accessible().await?;
    let here = kitchen.browser.current_url().await?;
    let phone = kitchen.another_screen(Viewport::Phone).await?;
    for (part, words) in
        [("#away", "All of it the day after"), ("#plate", "Weighed: 3.5 kg"), ("#close", "Add a photo")]
    {
        phone.browser.goto(&here.as_str().replace("#away", part)).await?;
        phone.says(words).await?;
        phone.assert_fits().await?;
        phone.assert_accessible().await?;
    }
    phone.close().await?;
    kitchen.press("All cautions and your food code").await?;
    kitchen.says("What can hurt someone").await?;
    kitchen.assert_accessible().await?;
    kitchen.press("Scotland").await?;
    kitchen.says("its middle is 82 °C").await?;
    kitchen.press("United States").await?;
    kitchen.says("Hold it at 57 °C").await?;
    kitchen.browser.goto(here.as_str()).await?;
    kitchen.says("Hold it at 57 °C").await?;

    // What is over is found at the next dish, with its own strength.
    kitchen.press_named("Into the larder: Ice-road chuck: b").await?;
    kitchen.find("//button[starts-with(@aria-label, 'Out of the larder: Ice-road chuck: b')]").await?;
    kitchen.go("/kitchen").await?;
    kitchen.says("Kept from earlier cooks").await?;
    kitchen.says("good until").await?;
    kitchen.go("/prepare").await?;
    kitchen.press("Lake-ice shin").await?;
    kitchen.press("Pot").await?;
    kitchen.find("//option[contains(., 'Ice-road chuck: b')]").await?;

    // A photo stays in this browser.
    kitchen.browser.goto(&here.as_str().replace("#away", "#close")).await?;
    let picture = Path::new(env!("CARGO_MANIFEST_DIR")).join("../docs/screenshots/log.png").canonicalize()?;
    kitchen.find("//input[@type='file']").await?.send_keys(&picture.to_string_lossy()).await?;
    kitchen.find("//img[@alt='Photo 1 of the cook']").await?;
    kitchen.browser.refresh().await?;
    kitchen.find("//img[@alt='Photo 1 of the cook']").await?;
    kitchen.assert_no_errors().await?;
    kitchen.close().await
}
