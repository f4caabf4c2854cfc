import { Text } from 'react-native';

export default function Blank() {
  return <Text>Blank</Text>;
}
