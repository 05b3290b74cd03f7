/** What the parts of a recording file are called on a screen, by their names in the file. */
const PARTS: Record<string, string> = {
  Platform: 'the boat’s data',
  Sonar: 'the beams',
  ping_time: 'the times of the pings',
  latitude: 'the latitude',
  longitude: 'the longitude',
  speed_ground: 'the boat’s speed',
  heading: 'the heading',
  pitch: 'the pitch',
  roll: 'the roll',
  vertical_offset: 'the heave',
  water_temperature: 'the water’s temperature',
  supply_voltage: 'the supply voltage',
  backscatter_r: 'the echo levels',
  transmit_frequency: 'the frequency',
  beamwidth_receive_minor: 'the width fore and aft',
  beamwidth_receive_major: 'the width across',
  transmit_duration_nominal: 'the length of the pulse',
  transmit_bandwidth: 'the bandwidth of the pulse',
  range_resolution: 'the length of an echo',
  sound_speed: 'the sound speed',
  sample_range_first: 'the first depth',
  sample_range_interval: 'the depth step',
  source_level: 'the power sent',
  absorption: 'the absorption',
  channel_id: 'its own number',
  channel_label: 'the name',
  beam_type: 'the kind of beam',
  transmit_type: 'the kind of pulse',
  title: 'the title',
  time_coverage_start: 'the time it began',
  recording_version: 'the version',
  ping_rate: 'the ping rate',
};

/** A place in a recording file as a screen says it: `/Sonar/Beam_group2/sound_speed` is “the sound speed of beam 2”. */
export function recordingPlace(path: string): string {
  const steps = path.split('/').filter((s) => s !== '');
  const last = steps.at(-1) ?? '';
  const group = /^Beam_group(\d+)$/;
  const own = group.exec(last);
  if (own) return `beam ${own[1]}`;
  const beam = steps.map((s) => group.exec(s)?.[1]).find((n) => n !== undefined);
  const name = PARTS[last] ?? 'a part of it';
  return beam === undefined ? name : `${name} of beam ${beam}`;
}
