export { WhatNext } from "./what-next";
