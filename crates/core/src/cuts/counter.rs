//! At the counter: the other names a muscle is sold under, and how to tell it. One name may stand at several muscles,
//! because shops use it for either.

use super::Cut;

/// Other names it is sold under.
pub(super) const fn also(cut: Cut) -> &'static [&'static str] {
    match cut {
        Cut::Chuck => {
            &["shoulder", "chuck roll", "chuck roast", "chuck eye", "chuck tender", "braising steak", "pot roast"]
        }
        Cut::Blade => &[
            "feather blade",
            "flat iron",
            "oyster blade",
            "top blade",
            "shoulder clod",
            "cross-rib",
            "braising steak",
            "bolar",
        ],
        Cut::Neck => &["clod and sticking", "scrag", "collar", "neck bones", "stewing beef"],
        Cut::ShortRib => &[
            "thick ribs",
            "ladder ribs",
            "English-cut ribs",
            "flanken",
            "cross-cut ribs",
            "braising ribs",
            "asado ribs",
        ],
        Cut::PlateRib => &["short plate", "plate short ribs", "thin ribs", "beef ribs", "long ribs"],
        Cut::RibFinger => &["intercostals", "finger meat", "rib meat", "boneless ribs"],
        Cut::BrisketFlat => &["thin end", "first cut", "brisket flat", "navel-end brisket", "rolled brisket"],
        Cut::BrisketPoint => &["thick end", "second cut", "deckle", "point end", "brisket point"],
        Cut::Brisket => &["whole brisket", "full brisket", "breast of beef", "brisket with deckle"],
        Cut::CornedBrisket => &["salt beef", "corned beef", "pickled brisket", "cured brisket", "corned silverside"],
        Cut::Shin => &["shank", "boneless shank", "gravy beef", "leg of beef", "foreshank", "stewing beef"],
        Cut::ShinBoneIn => &["shank slices", "cross-cut shin", "marrow-bone shin", "shank on the bone", "soup beef"],
        Cut::Heel => &["heel of round", "heel muscle", "leg heel", "golden coin muscle", "banana shank"],
        Cut::Cheek => &["ox cheek", "beef cheek", "jowl", "cheek meat"],
        Cut::Oxtail => &["tail", "beef tail", "tail joints"],
        Cut::Tendon => &["sinew", "beef tendon", "leader", "Achilles tendon"],
        Cut::Round => &["buttock", "rump roast", "thick flank", "knuckle", "sirloin tip", "steak piece", "round steak"],
        Cut::Topside => &["top round", "inside round", "inside", "rolled topside"],
        Cut::Silverside => &["bottom round", "outside flat", "outside round", "gooseneck", "rump roast"],
        Cut::EyeRound => &["eye of silverside", "eye of round roast", "girello", "salmon cut"],
        Cut::Skirt => &["inside skirt", "goose skirt", "outside skirt", "thin skirt", "hanging skirt"],
        Cut::Flank => &["flank steak", "thin flank", "bavette", "flap", "stewing beef"],
        Cut::Sirloin => &["rump tail", "sirloin tip", "top sirloin", "rump", "stewing steak"],
        Cut::StewingMix => &["diced beef", "stew meat", "stewing beef", "casserole beef", "braising steak, diced"],
        Cut::Fillet => &["tenderloin", "fillet steak", "chateau piece"],
        Cut::RibEye => &["cube roll", "Scotch fillet", "entrecôte", "fore rib", "prime rib"],
        Cut::Strip => &["strip loin", "short loin", "porterhouse", "sirloin steak", "club steak"],
    }
}

/// How to tell it on the counter.
pub(super) const fn tell(cut: Cut) -> &'static str {
    match cut {
        Cut::Chuck => "Several muscles with seams of fat and sinew between them; from the shoulder.",
        Cut::Blade => "One flat muscle with a line of gristle down its middle, like the rib of a leaf.",
        Cut::Neck => "Coarse, dark, streaked with sinew; sometimes with a bone.",
        Cut::ShortRib => "A thick block of layered meat on a short piece of flat rib.",
        Cut::PlateRib => "A slab of long ribs with thick meat on top; from under the short ribs.",
        Cut::RibFinger => "Fat little strips as long as a hand, cut from between the ribs.",
        Cut::BrisketFlat => "A long lean slab, even in thickness, fat on one side only; its grain runs one way.",
        Cut::BrisketPoint => "The thick, fatty end of the brisket, with a seam of fat through it.",
        Cut::Brisket => "Both muscles of the breast in one piece, thick at one end, thin at the other.",
        Cut::CornedBrisket => "Brisket from the brine: rosy, wet and salt all through.",
        Cut::Shin => "Long muscle sheathed in silver skin, sinew running through it; no bone.",
        Cut::ShinBoneIn => "Round slices with a marrow bone in the middle.",
        Cut::Heel => "A small tapering muscle above the hock, almost all sinew at one end.",
        Cut::Cheek => "A thick dark pad the size of a hand, sinew all through.",
        Cut::Oxtail => "Round joints, bone in the middle, large to small.",
        Cut::Tendon => "White, glossy cords; no meat on them.",
        Cut::Round => "Large, lean, fine-grained; from the hind leg. In some shops any of its four muscles.",
        Cut::Topside => "The lean inside of the hind leg: wide, one thin cap of fat.",
        Cut::Silverside => "The lean outside of the hind leg, a silvery skin on one face.",
        Cut::EyeRound => "A lean round bar, like a fillet, but pale and hard to the touch.",
        Cut::Skirt => "A thin loose-grained strip with a skin; from inside the ribs or belly.",
        Cut::Flank => "A thin flat sheet with long coarse grain; from the belly.",
        Cut::Sirloin => "The tail of the rump: lean, hardly any sinew. It needs little time.",
        Cut::StewingMix => "Cubes of whatever was left: look for unlike colours and grains.",
        Cut::Fillet => "A slim, soft, lean bar from beside the spine, with no sinew in it.",
        Cut::RibEye => "A round eye of soft meat marbled with fat; from the ribs.",
        Cut::Strip => "A long soft muscle with a strip of fat along one edge; from the back.",
    }
}
