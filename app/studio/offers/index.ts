export { OffersArea } from "./area";
