export { shopperLetter } from "./letters";
export {
  closeOtherSessions,
  closeShopperSession,
  openShopperSession,
  SESSION_DAYS,
  shopperOfSession,
  type ShopperIdentity,
} from "./sessions";
export {
  addShopper,
  askForLink,
  askForMail,
  changeMail,
  changeShopperPassword,
  deleteShopper,
  dropAddress,
  keepAddress,
  linkSays,
  openAccount,
  renameShopper,
  shopperIdFor,
  shoppersOf,
  signInShopper,
  type SendLetter,
  type ShopperLetter,
} from "./shoppers";
