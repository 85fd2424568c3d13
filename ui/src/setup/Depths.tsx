import { useColumns } from '../file/MapColumns';
import { NumberField } from '../format/NumberField';
import { depth, show } from '../format/spoken';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Input, Select } from 'antd';
import { useState } from 'react';
import { api, type Formats, type GridQuery } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { ChooseFile } from '../file/ChooseFile';
import { places as say } from '../words/places';

type Format = GridQuery['format'];

/** The format a file's name ends in; soundings where it tells nothing. */
export const formatOf = (known: Formats['depths'], name: string) =>
  (known.find((k) => k.extensions.some((x) => name.toLowerCase().endsWith(x)))?.id ?? 'xyz') as Format;

/** Depths of a water from a file; unit, sign and datum are asked, never guessed. */
export function Depths() {
  const here = usePlace();
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [file, setFile] = useState<{ name: string; text: string }>();
  const [format, setFormat] = useState<Format>('asc');
  const [unit, setUnit] = useState<GridQuery['unit']>();
  const [sign, setSign] = useState<GridQuery['sign']>();
  const [datum, setDatum] = useState('');
  const [datumM, setDatumM] = useState<number>();
  const [origin, setOrigin] = useState('');
  const [cell, setCell] = useState(10);
  const [reach, setReach] = useState(30);
  const formats = useQuery({ queryKey: keys.formats, queryFn: api.formats, staleTime: Infinity });
  const known = formats.data?.depths ?? [];
  const kind = known.find((k) => k.id === format);
  const read = useMutation({
    mutationFn: (keep: boolean) => {
      const [lat, lon] = origin.split(/[ ,;]+/).map(Number);
      return api.importGrid(
        {
          format,
          water_id: here.spot.water_id,
          ...(kind?.grid && { unit, sign }),
          ...(kind?.grid && origin.trim() && { origin_lat: lat, origin_lon: lon }),
          ...(!kind?.grid && { cell_m: cell, reach_m: reach }),
          datum: kind?.by_tide ? datum || say.chartDatumByTheTide : datum,
          datum_m: datumM ?? 0,
          keep,
        },
        file!.text,
      );
    },
    onSuccess: (g) => {
      if (!g.kept) return;
      void message.success(say.theDepthsOfAreThose(here.spot.water, file?.name));
      setFile(undefined);
      read.reset();
      void invalidate('water');
    },
  });
  const g = read.data;
  const ready =
    file && (!kind?.grid || (unit && sign)) && (kind?.by_tide || (datum.trim() && datumM !== undefined));
  const columns = useColumns('soundings', (text, name) => setFile({ name, text }));
  const changed = () => read.reset();
  return (
    <section className="panel depths">
      <h2>{say.depthsOf(here.spot.water)}</h2>
      <p className="quiet">{say.anEsriAsciiGridSoundings}</p>
      <ChooseFile
        says={say.chooseAFileOfDepths}
        accept={[...new Set(known.flatMap((k) => k.extensions))].join(',')}
        onFile={(f) => {
          changed();
          setFormat(formatOf(known, f.name));
          // Soundings and points may go by other names; grids and logs are what they are.
          if (/\.(csv|txt)$/i.test(f.name)) void columns.take(f);
          else void f.text().then((text) => setFile({ name: f.name, text }));
        }}
      />
      {columns.form}
      {file && (
        <>
          <p>{say.readAs(<b>{file.name}</b>, kind?.note)}</p>
          <div className="keep">
            <label>
              {say.theFileIs}
              <Select<Format>
                aria-label={say.theFileIs}
                value={format}
                onChange={(v) => {
                  changed();
                  setFormat(v);
                }}
                options={known.map((k) => ({ value: k.id as Format, label: k.name }))}
              />
            </label>
            {kind?.grid && (
              <>
                <label>
                  {say.itsNumbersAreIn}
                  <Select
                    aria-label={say.itsNumbersAreIn}
                    value={unit}
                    placeholder={say.sayWhich}
                    onChange={(v) => {
                      changed();
                      setUnit(v);
                    }}
                    options={['m', 'ft', 'cm'].map((v) => ({ value: v as 'm', label: v }))}
                  />
                </label>
                <label>
                  {say.andCount}
                  <Select
                    aria-label={say.andCount}
                    value={sign}
                    placeholder={say.sayWhich}
                    onChange={(v) => {
                      changed();
                      setSign(v);
                    }}
                    options={[
                      { value: 'elevation' as const, label: say.upwardsElevation },
                      { value: 'depth' as const, label: say.downwardsDepth },
                    ]}
                    popupMatchSelectWidth={false}
                  />
                </label>
              </>
            )}
            {!kind?.by_tide && (
              <>
                <label>
                  {say.fromWhichDatum}
                  <Input
                    value={datum}
                    placeholder={say.suchAsChartDatumMean}
                    onChange={(e) => {
                      changed();
                      setDatum(e.target.value);
                    }}
                  />
                </label>
                <label>
                  {say.whichLiesAboveChartDatum}
                  <NumberField
                    measure="depth"
                    value={datumM}
                    onChange={(v) => {
                      changed();
                      setDatumM(v);
                    }}
                  />
                </label>
              </>
            )}
            {kind?.grid && (
              <label>
                {say.metresCountFromLatitudeLongitude}
                <Input
                  value={origin}
                  placeholder={say.onlyWhereTheGridIs}
                  onChange={(e) => {
                    changed();
                    setOrigin(e.target.value);
                  }}
                />
              </label>
            )}
            {!kind?.grid && (
              <>
                <label>
                  {say.cellsOf}
                  <NumberField
                    measure="distance"
                    min={1}
                    max={500}
                    value={cell}
                    onChange={(v) => setCell(v ?? 10)}
                  />
                </label>
                <label>
                  {say.aSoundingSpeaksFor}
                  <NumberField
                    measure="distance"
                    min={1}
                    max={1000}
                    value={reach}
                    onChange={(v) => setReach(v ?? 30)}
                  />
                </label>
              </>
            )}
            {read.error && (
              <p role="alert" className="caution">
                {say.nothingWasStored(file.name, read.error.message)}
              </p>
            )}
            <Button disabled={!ready} loading={read.isPending} onClick={() => read.mutate(false)}>
              {say.lookAtIt}
            </Button>
          </div>
          {g && !g.kept && (
            <div>
              <p>
                {say.cellsOfOfThemKnown(
                  g.rows,
                  g.cols,
                  show('distance', g.cell_m, 1),
                  Math.round((100 * g.known) / (g.rows * g.cols)),
                  depth(g.low_m),
                  depth(g.high_m),
                  g.lat.toFixed(4),
                  g.lon.toFixed(4),
                  g.soundings,
                )}
              </p>
              <Button type="primary" loading={read.isPending} onClick={() => read.mutate(true)}>
                {say.keepTheseDepths}
              </Button>
            </div>
          )}
        </>
      )}
      <p className="take">
        <a href={`/api/v1/waters/${here.spot.water_id}/depth.asc`} download={say.depthAsc(here.spot.water)}>
          {say.takeAlongTheDepthOf}
        </a>
      </p>
    </section>
  );
}
