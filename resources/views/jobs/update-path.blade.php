@php($path = $update['path'])
@php($stops = array_map(fn ($stop) => $stop->version, $path->stops ?? []))
<section class="panel" id="update" aria-labelledby="update-title"><h2 id="update-title">Update path</h2>
@if ($update['now'] === null)<p>The version that is on the board now is not known: read it in the setup, or from <code>dmidecode</code>. The way depends on it.</p>
@elseif ($path->fault !== null)<p class="{{ $path->target === $update['now'] || version_compare($update['now'], (string) $path->target, '>=') ? '' : 'wrong' }}">{{ $path->fault }}</p>
@else
@php($settingsCount = count($machine->settings()))
<ol class="stones-over update"><li class="stands"><svg width="96" height="58" viewBox="0 0 96 58" aria-hidden="true"><path d="{{ \App\Drawing\StoneShape::pebble(3, 6, 90, 46, 'now'.$update['now']) }}"/><text x="48" y="34">{{ $update['now'] }}</text></svg><span class="fine">on the board</span></li>
@foreach ($path->stops as $stop)<li class="stands"><svg width="96" height="58" viewBox="0 0 96 58" aria-hidden="true"><path d="{{ \App\Drawing\StoneShape::slab(3, 10, 90, 38, $stop->version) }}"/><text x="48" y="34">{{ $stop->version }}</text></svg><span class="fine">{{ $stop->minutes[1] }}′ + {{ $stop->restartMinutes ?? \Cobblestone\Firmware\UpdatePath::RESTART }}′{{ $loop->last ? '' : ', required stop' }}</span></li>@endforeach</ol>
<p><b>About {{ $path->total($settingsCount)->label() }} in all:</b> {{ count($path->stops) }} × (write + restart), then {{ $settingsCount }} settings entered again. Stay near while it writes.@if ($p->job->kind->value !== 'firmware-update') <span class="fine">Nothing on this job asks for it; without a reason no firmware is updated.</span>@endif</p>
@endif
<div class="table-responsive" tabindex="0"><table class="plain stack"><thead><tr><th>release</th><th>over</th><th>brings</th><th>runs</th><th>board revision</th><th>file</th><th></th></tr></thead><tbody>
@foreach ($update['releases'] as $release)
@php($left = collect($path->leftOut ?? [])->firstWhere('version', $release->version))
<tr><td><b>{{ $release->version }}</b>@if ($release->asOf !== null) <span class="fine">{{ $release->asOf }}</span>@endif</td><td data-label="over">{{ $release->from !== null ? "{$release->from} or newer" : 'any' }}</td><td data-label="brings">{{ implode(', ', $release->gives) ?: '–' }}</td><td data-label="runs">{{ implode(', ', $release->processors) ?: 'all' }}</td><td data-label="revision">{{ implode(', ', $release->revisions) ?: 'all' }}</td><td class="mono">{{ $release->file }}</td><td>@if (in_array($release->version, $stops, true))<b class="hands">stop {{ array_search($release->version, $stops, true) + 1 }}</b>@elseif ($left)<span class="bad">out: {{ $left['because'] }}</span>@elseif ($release->version === $update['now'])now @endif</td></tr>@endforeach</tbody></table></div>
<p>{{ $machine->model?->firmware?->recoveryWay !== null ? "The way back after a cut-short write: {$machine->model->firmware->recoveryWay}." : 'No way back after a cut-short write is known: its absence is signed before anything is written.' }} <span class="fine">Storage device over network; FAT32, top folder, a socket on the board itself.</span></p></section>
