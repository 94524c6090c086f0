import { CardView } from "~app/features/card/CardView";

export default function CardRoute() {
  return <CardView />;
}
