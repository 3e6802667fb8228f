### The cuts: what each is called, what else it is sold as, and how to tell it on the counter.

## $cut (Key) is the cut's name in a request.

# $cut (Key)
label =
    { $cut ->
        [blade] Blade
        [neck] Neck
        [short_rib] Short rib
        [plate_rib] Plate rib
        [rib_finger] Rib finger
        [brisket_flat] Brisket, flat
        [brisket_point] Brisket, point
        [brisket] Brisket, whole
        [corned_brisket] Corned brisket
        [shin] Shin, boneless
        [shin_bone_in] Shin on the bone
        [heel] Heel
        [cheek] Cheek
        [oxtail] Oxtail
        [tendon] Tendon
        [round] Round
        [topside] Topside
        [silverside] Silverside
        [eye_round] Eye of round
        [skirt] Skirt
        [flank] Flank
        [sirloin] Sirloin, stewed
        [stewing_mix] Stewing mix
        [fillet] Fillet
        [rib_eye] Rib eye
        [strip] Strip
        [chuck] Chuck
       *[other] Beef
    }

# What it is called in the middle of a sentence. $cut (Key)
name =
    { $cut ->
        [blade] blade
        [neck] neck
        [short_rib] short rib
        [plate_rib] plate rib
        [rib_finger] rib fingers
        [brisket_flat] brisket flat
        [brisket_point] brisket point
        [brisket] brisket
        [corned_brisket] corned brisket
        [shin] shin
        [shin_bone_in] shin on the bone
        [heel] heel
        [cheek] cheek
        [oxtail] oxtail
        [tendon] tendon
        [round] round
        [topside] topside
        [silverside] silverside
        [eye_round] eye of round
        [skirt] skirt
        [flank] flank
        [sirloin] sirloin
        [stewing_mix] stewing mix
        [fillet] fillet
        [rib_eye] rib eye
        [strip] strip
        [chuck] chuck
       *[other] beef
    }

# Other names it is sold under, divided by semicolons. $cut (Key)
also =
    { $cut ->
        [chuck] shoulder; chuck roll; chuck roast; chuck eye; chuck tender; braising steak; pot roast; country ribs; boneless ribs; chuck short ribs
        [blade] feather blade; flat iron; oyster blade; top blade; shoulder clod; cross-rib; braising steak; bolar
        [neck] clod and sticking; scrag; collar; neck bones; stewing beef
        [short_rib] thick ribs; chuck short ribs; ladder ribs; English-cut ribs; flanken; cross-cut ribs; braising ribs; asado ribs
        [plate_rib] short plate; plate short ribs; thin ribs; beef ribs; long ribs
        [rib_finger] intercostals; finger meat; rib meat; boneless ribs; beef fingers
        [brisket_flat] thin end; first cut; brisket flat; navel-end brisket; rolled brisket
        [brisket_point] thick end; second cut; deckle; point end; brisket point
        [brisket] whole brisket; full brisket; breast of beef; brisket with deckle
        [corned_brisket] salt beef; corned beef; pickled brisket; cured brisket; corned silverside
        [shin] shank; boneless shank; gravy beef; leg of beef; foreshank; stewing beef
        [shin_bone_in] shank slices; cross-cut shin; marrow-bone shin; shank on the bone; soup beef
        [heel] heel of round; heel muscle; leg heel; golden coin muscle; banana shank
        [cheek] ox cheek; beef cheek; jowl; cheek meat
        [oxtail] tail; beef tail; tail joints
        [tendon] sinew; beef tendon; leader; Achilles tendon
        [round] buttock; beef fingers; rump roast; thick flank; knuckle; sirloin tip; steak piece; round steak
        [topside] top round; inside round; inside; rolled topside
        [silverside] bottom round; outside flat; outside round; gooseneck; rump roast
        [eye_round] eye of silverside; eye of round roast; girello; salmon cut
        [skirt] inside skirt; goose skirt; outside skirt; thin skirt; hanging skirt
        [flank] flank steak; thin flank; bavette; flap; stewing beef
        [sirloin] rump tail; sirloin tip; top sirloin; rump; stewing steak
        [stewing_mix] diced beef; stew meat; stewing beef; casserole beef; braising steak, diced
        [fillet] tenderloin; fillet steak; chateau piece
        [rib_eye] cube roll; Scotch fillet; entrecôte; fore rib; prime rib
        [strip] strip loin; short loin; porterhouse; sirloin steak; club steak
       *[other] beef
    }

# $cut (Key)
tell =
    { $cut ->
        [chuck] From the shoulder: several muscles with seams of fat and sinew between them. Cut into strips it is sold as ribs without bones.
        [blade] One flat muscle with a line of gristle down the middle, like the rib of a leaf.
        [neck] Coarse, dark, streaked with sinew. Sometimes on the bone.
        [short_rib] A thick block of layered meat on a short piece of flat rib.
        [plate_rib] A slab of long ribs with thick meat on top, from under the short ribs.
        [rib_finger] Fat little strips as long as a hand, cut from between the ribs, a skin along one side. Lean strips of that name are round.
        [brisket_flat] A long lean slab, even in thickness, fat on one side. Its grain runs one way.
        [brisket_point] The thick, fatty end of the brisket, with a seam of fat through it.
        [brisket] Both muscles of the breast in one piece: thick at one end, thin at the other.
        [corned_brisket] Brisket from the brine: rosy, wet and salt all through.
        [shin] Long muscle sheathed in silver skin, sinew running through it. No bone.
        [shin_bone_in] Round slices with a marrow bone in the middle.
        [heel] A small tapering muscle above the hock, almost all sinew at one end.
        [cheek] A thick dark pad the size of a hand, sinew all through.
        [oxtail] Round joints, large to small, a bone in each.
        [tendon] White, glossy cords with no meat on them.
        [round] From the hind leg: large, lean, fine-grained. Shops sell any of its four muscles under this name.
        [topside] The lean inside of the hind leg: wide, with one thin cap of fat.
        [silverside] The lean outside of the hind leg, with a silvery skin on one face.
        [eye_round] A lean round bar. It looks like fillet, but pale and hard to the touch.
        [skirt] A thin loose-grained strip with a skin, from inside the ribs or belly.
        [flank] A thin flat sheet with long coarse grain, from the belly.
        [sirloin] The tail of the rump: lean, hardly any sinew. It needs little time.
        [stewing_mix] Cubes of whatever was left. Look for unlike colours and grains.
        [fillet] A slim, soft, lean bar from beside the spine, with no sinew in it.
        [rib_eye] A round eye of soft meat marbled with fat, from the ribs.
        [strip] A long soft muscle with a strip of fat along one edge, from the back.
       *[other] Beef.
    }

# $cut (Message) $collagen (Percent)
refusal = { CAPITAL($cut) } has almost no collagen (about { $collagen }), so hours of heat have nothing to soften: they would only dry it. Sear it hot and short and serve it pink. For this dish take chuck, shin or short rib.

# A mixed pot by the name of its first cut. $cut (Message)
and-company = { $cut } and company

# Lower case, for a sentence on how it is eaten. $eaten (Key)
eaten =
    { $eaten ->
        [slice] slice
        [fork] fork
        [probe] probe
        [pull] pull
       *[spoon] spoon
    }

# What half of such pieces are. $eaten (Key)
done =
    { $eaten ->
        [slice] ready to slice
        [fork] fork-tender
        [probe] probe-tender
        [pull] ready to pull
       *[spoon] soft enough for the spoon
    }

# The sign by which a cook knows it, after "It is done when". $eaten (Key)
sign =
    { $eaten ->
        [slice] a fork goes in and a slice still holds together
        [fork] a fork slides in and out easily and the chunk keeps its shape
        [probe] a probe slides in like butter and a slice still holds
        [pull] it shreds when you twist the fork
       *[spoon] it collapses under a spoon
    }


## What a cut is like over hours of heat.

softens-alike = as chuck does
# $times (Number)
softens-slower = { $times } times as slowly as chuck
# $times (Number)
softens-sooner = { $times } times as fast as chuck
# $risk (Key)
dries =
    { $risk ->
        [low] hardly: fat and gelatin keep it moist
        [mid] if it is overdone
       *[high] soon after it is tender
    }
