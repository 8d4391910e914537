// What every page has: keys, theme, and the few things a page does without the server. No inline script anywhere: the
// policy forbids it.
import { startChoices } from "./page/choices.js";
import { startFocus } from "./page/focus.js";
import { startHelp } from "./page/help.js";
import { startKeys } from "./page/keys.js";
import { startLearnt } from "./page/learnt.js";
import { startList } from "./page/list.js";
import { startPairs } from "./page/pairs.js";
import { startPhotoPlan } from "./page/photo-plan.js";
import { startPicture } from "./page/picture.js";
import { startPlace } from "./page/place.js";
import { startPlan } from "./page/plan.js";
import { startScrews } from "./page/screws.js";
import { startShutter } from "./page/shutter.js";
import { startTables } from "./page/tables.js";
import { startTabs } from "./page/tabs.js";
import { startTheme } from "./page/theme.js";
import { startTray } from "./page/tray.js";
import { startWords } from "./page/words.js";

startWords(document);
startTheme(document);
startHelp(document);
startKeys(document);
startChoices(document);
startFocus(document);
startPlan(document);
startPlace(document);
startScrews(document);
startPairs(document);
startLearnt(document);
startPhotoPlan(document);
startPicture(document);
startShutter(document);
startTables(document);
startTabs(document);
startTray(document);
startList(document);
