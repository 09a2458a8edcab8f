export { createClient, type Client, type No, type Options, type Reply } from "./client";
