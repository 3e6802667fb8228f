//! Makes `docs/screenshots/` from the demo kitchen: one picture of each main view.

use std::path::Path;
use std::time::Duration;

use ergastic_e2e::{Kitchen, Viewport, root};

/// A picture: its name, the screen, light or dark, and how to get there.
struct Shot {
    name: &'static str,
    viewport: Viewport,
    scheme: &'static str,
    path: &'static str,
    /// Links to follow from there, by what they say.
    follow: &'static [&'static str],
    /// Said once the view is complete.
    until: &'static str,
}

const fn shot(name: &'static str, path: &'static str, follow: &'static [&'static str], until: &'static str) -> Shot {
    Shot { name, viewport: Viewport::Table, scheme: "light", path, follow, until }
}

/// Three ways of a chuck side by side, and a recipe tried on it.
const COMPARED: &str = "/match?cut=chuck&kg=1.6&mm=75&beside=braise.oven_150.whole,pressure.high.halved,smoke.pit_110_paper.whole&recipe=35%20min%20at%20high%20pressure";

const SHOTS: [Shot; 19] = [
    shot("match", "/match?cut=shin&kg=2.4&people=8", &[], "Scrub through"),
    shot("match-cuts", "/match/cuts?cut=shin", &[], "Every cut, every way"),
    shot("match-buy", "/match/buy?dish=braise&as=pull", &[], "Those that fit the bell first"),
    shot("prepare", "/prepare", &["Lake-ice shin", "Pot"], "The cook it leads to"),
    shot("sheet", "/sheet/ice-fishers", &[], "On the same table"),
    shot("cook", "/cook", &["Boathouse brisket", "What if now"], "Leave it as it is"),
    shot("cook-all", "/cook", &[], "This page is silent"),
    shot("why", "/match?cut=shin&kg=2.4&people=8", &["Why this time?"], "Rules of thumb"),
    shot("finish", "/finish", &["Ice-road chuck"], "Taste, then decide"),
    shot("finish-away", "/finish", &["Ice-road chuck", "Hold, cool, keep"], "All of it the day after"),
    shot("log", "/log", &[], "What came of it"),
    shot("kitchen", "/kitchen", &[], "Take it along"),
    shot("devices", "/devices", &["Invite a screen"], "It lets one screen in"),
    shot("wall", "/wall", &[], "until the next thing"),
    Shot { scheme: "dark", ..shot("match-dark", COMPARED, &[], "Side by side") },
    Shot { scheme: "dark", ..shot("night-dark", "/night", &[], "wakes you at") },
    Shot { viewport: Viewport::Phone, ..shot("sheet-phone", "/sheet/ice-fishers", &[], "On the same table") },
    Shot {
        viewport: Viewport::Phone,
        scheme: "dark",
        ..shot("cook-phone-dark", "/cook", &["Ice-road chuck"], "The median piece")
    },
    Shot {
        viewport: Viewport::Phone,
        ..shot("prepare-phone", "/prepare", &["Lake-ice shin", "Pot"], "The cook it leads to")
    },
];

#[tokio::main]
async fn main() -> anyhow::Result<()> {
    let mut arguments = std::env::args().skip(1);
    let folder = arguments.next().map_or_else(|| root().join("docs/screenshots"), Into::into);
    let only: Vec<_> = arguments.collect();
    std::fs::create_dir_all(&folder)?;
    for viewport in [Viewport::Table, Viewport::Phone] {
        let wanted: Vec<_> = SHOTS
            .iter()
            .filter(|shot| shot.viewport == viewport && (only.is_empty() || only.iter().any(|name| name == shot.name)))
            .collect();
        if wanted.is_empty() {
            continue;
        }
        let kitchen = Kitchen::open_wide(viewport, 1, "seven ladles of cold smoke").await?;
        kitchen.read_up_to_now()?;
        for shot in wanted {
            take(&kitchen, shot, &folder).await?;
        }
        kitchen.close().await?;
    }
    Ok(())
}

async fn take(kitchen: &Kitchen, shot: &Shot, folder: &Path) -> anyhow::Result<()> {
    kitchen.go(shot.path).await?;
    kitchen.light(shot.scheme).await?;
    for link in shot.follow {
        kitchen.press(link).await?;
    }
    kitchen.says(shot.until).await?;
    kitchen.browser.execute("window.scrollTo(0, 0)", vec![]).await?;
    // Fonts and the last answer settle.
    tokio::time::sleep(Duration::from_millis(700)).await;
    std::fs::write(folder.join(format!("{}.png", shot.name)), kitchen.browser.screenshot().await?)?;
    println!("{}.png", shot.name);
    Ok(())
}
