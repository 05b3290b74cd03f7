import { useStore } from 'zustand';
import { BRIEF_BEDS, CLARITIES, HOURS, SEASONS, withSeason } from '@/core/advice';
import { planStore } from '@/stores';
import { Chips, Dial, Text } from '@/ui';
import { BED_WORDS, CLARITY_WORDS, HOUR_WORDS, SEASON_WORDS } from '../../words/brief';
import { useChange, useSteps } from './useChange';

/** Salt, clarity, bed, season, hour, temperature, layer and wind. */
export function WaterChooser() {
  const { brief } = useStore(planStore);
  const { change, problem } = useChange();
  const { depth, temperature, speed } = useSteps();
  return (
    <>
      <Chips
        label="Fresh or salt"
        value={brief.saltUnderM !== null ? 'over' : brief.salinity < 1 ? 'fresh' : 'salt'}
        options={[
          { value: 'fresh', label: 'Fresh' },
          { value: 'salt', label: 'Salt' },
          { value: 'over', label: 'Fresh over salt' },
        ]}
        onChange={(kind) =>
          change({ salinity: kind === 'salt' ? 35 : 0, saltUnderM: kind === 'over' ? 3 : null })
        }
      />
      {brief.saltUnderM !== null && (
        <Dial
          label="Salt from"
          value={Math.round(depth.fromSi(brief.saltUnderM))}
          low={1}
          high={Math.round(depth.fromSi(40))}
          step={1}
          show={(x) => `${x.toFixed(0)}\u00a0${depth.unit} down`}
          onChange={(x) => change({ saltUnderM: Math.max(0.5, depth.toSi(x)) })}
        />
      )}
      <Chips
        label="Clarity"
        value={brief.clarity}
        options={CLARITIES.map((c) => ({ value: c, label: CLARITY_WORDS[c] }))}
        onChange={(clarity) => change({ clarity })}
      />
      <Chips
        label="Bed"
        value={brief.bed}
        options={BRIEF_BEDS.map((b) => ({ value: b, label: BED_WORDS[b] }))}
        onChange={(bed) => change({ bed })}
      />
      <Chips
        label="Season"
        value={brief.season ?? 'any'}
        options={[
          { value: 'any', label: 'Any season' },
          ...SEASONS.map((s) => ({ value: s, label: SEASON_WORDS[s] })),
        ]}
        onChange={(season) => change(season === 'any' ? { season: null } : withSeason(brief, season))}
      />
      {brief.season && (
        <Text faint kind="small">
          It sets a usual temperature and layer. Set yours if you measured.
        </Text>
      )}
      <Chips
        label="Hour"
        value={brief.hour}
        options={HOURS.map((h) => ({ value: h, label: HOUR_WORDS[h] }))}
        onChange={(hour) => change({ hour })}
      />
      <Dial
        label="Temperature"
        value={Math.round(temperature.fromSi(brief.temperatureC))}
        low={Math.round(temperature.fromSi(0))}
        high={Math.round(temperature.fromSi(30))}
        step={1}
        show={(x) => `${x.toFixed(0)}\u00a0${temperature.unit}`}
        onChange={(x) => change({ temperatureC: temperature.toSi(x) })}
      />
      <Chips
        label="Layer"
        value={brief.thermoclineM === null ? 'none' : 'layer'}
        options={[
          { value: 'none', label: 'Mixed' },
          { value: 'layer', label: 'Layered' },
        ]}
        onChange={(kind) => change({ thermoclineM: kind === 'layer' ? 9 : null })}
      />
      {brief.thermoclineM !== null && (
        <Dial
          label="Depth of the layer"
          value={Math.round(depth.fromSi(brief.thermoclineM))}
          low={Math.round(depth.fromSi(2))}
          high={Math.round(depth.fromSi(40))}
          step={1}
          show={(x) => `${x.toFixed(0)}\u00a0${depth.unit}`}
          onChange={(x) => change({ thermoclineM: depth.toSi(x) })}
        />
      )}
      <Dial
        label="Wind"
        value={Math.round(speed.fromSi(brief.windMps))}
        low={0}
        high={Math.round(speed.fromSi(12))}
        step={1}
        show={(x) => `${x.toFixed(0)}\u00a0${speed.unit}`}
        onChange={(x) => change({ windMps: speed.toSi(x) })}
      />
      {problem && <Text role="alert">{problem}</Text>}
    </>
  );
}
