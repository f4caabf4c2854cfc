import { Text } from 'react-native';

/** The least a page can be: what the app's start is held against. */
export default function Blank() {
  return <Text>Blank</Text>;
}
