import type { LucideIcon } from 'lucide-react-native';
import Calculator from 'lucide-react-native/icons/calculator';
import ChartLine from 'lucide-react-native/icons/chart-line';
import Clipboard from 'lucide-react-native/icons/clipboard-list';
import Archive from 'lucide-react-native/icons/archive';
import FileText from 'lucide-react-native/icons/file-text';
import Footprints from 'lucide-react-native/icons/footprints';
import ListChecks from 'lucide-react-native/icons/list-checks';
import LifeLine from 'lucide-react-native/icons/git-commit-vertical';
import Sliders from 'lucide-react-native/icons/sliders-horizontal';
import Target from 'lucide-react-native/icons/target';
import TrendingDown from 'lucide-react-native/icons/trending-down';
import UserRound from 'lucide-react-native/icons/user-round';
import Users from 'lucide-react-native/icons/users';
import Warehouse from 'lucide-react-native/icons/warehouse';
import type { SpineId } from './places';

/** The mark of each stop of the spine. */
export const SPINE_ICONS: Readonly<Record<SpineId, LucideIcon>> = {
  yard: Warehouse,
  fleet: ChartLine,
  bench: Calculator,
  scores: Target,
  rules: Sliders,
  people: Users,
  data: Archive,
  me: UserRound,
  now: Clipboard,
  visit: Footprints,
  works: ListChecks,
  wear: TrendingDown,
  life: LifeLine,
  spec: FileText,
};
