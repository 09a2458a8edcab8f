import { geoAddress, MAP_SIZE, type MapDrawing } from "~/core/map";
import type { ViewProps } from "../definition";
import { useContact, useEnv } from "../parts";
import type { MapProps } from "./definition";

const ALL = { address: true, mail: true, phone: true, hours: true };
const NONE = { address: false, mail: false, phone: false, hours: false };
const [WIDTH, HEIGHT] = MAP_SIZE;
const PIN = `M${WIDTH / 2} ${HEIGHT / 2}c-14-24-27-36-27-56a27 27 0 1 1 54 0c0 20-13 32-27 56z`;

/** A place's name without its country: the shop's neighbours know that. */
const shortName = (place: string) => place.split(",")[0]!;

/** Where the shop is, with its address and hours beside it where that is asked for. */
export function View({ props, arrangement }: ViewProps<MapProps>) {
  const { studio } = useEnv();
  const facts = useContact(arrangement === "alone" ? NONE : ALL);
  const { map, label } = props;
  if (!map && !facts) return studio ? <p className="studio-empty">Choose the place, in Details on the left.</p> : null;
  return (
    <div className="map-and">
      {map ? (
        <div>
          <Drawn map={map} name={label || shortName(map.place)} />
          <a className="map-go" href={geoAddress(map)} data-place={`${map.lat},${map.lon}`}>
            Open in your map
          </a>
        </div>
      ) : studio ? (
        <p className="studio-empty">Choose the place, in Details on the left.</p>
      ) : null}
      {facts}
    </div>
  );
}

const Drawn = ({ map, name }: { map: MapDrawing; name: string }) => (
  <div className="map">
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="xMidYMid slice"
      role="img"
      aria-label={`Map: ${name === shortName(map.place) ? map.place : `${name}, ${map.place}`}`}
    >
      <path className="map-land" d={map.land} />
      <path className="map-border" d={map.borders} />
      {map.towns.map(({ name: town, x, y, side, isOuter }) => (
        <g key={`${town} ${x} ${y}`} className={isOuter ? "map-town is-outer" : "map-town"}>
          <circle cx={x} cy={y} r={5} />
          <text x={side === "right" ? x + 13 : x - 13} y={y + 8} textAnchor={side === "right" ? "start" : "end"}>
            {town}
          </text>
        </g>
      ))}
      <path className="map-pin" d={PIN} />
      <circle cx={WIDTH / 2} cy={HEIGHT / 2 - 56} r={10} />
      <text className="map-name" x={WIDTH / 2} y={HEIGHT / 2 + 44}>
        {name}
      </text>
    </svg>
    <span className="map-from">GeoNames · Natural Earth</span>
  </div>
);
