<section class="panel" id="update" aria-labelledby="update-title">
<h2 id="update-title">Update path</h2>
@if ($update->now === null)
<p>
The version that is on the board now is not known: read it in the setup, or from <code>dmidecode</code>.
The way depends on it.
</p>
@elseif ($update->fault() !== null)
<p class="{{ $update->isWrong() ? 'wrong' : '' }}">{{ $update->fault() }}</p>
@else
<ol class="stones-over update">
@foreach ($update->stones() as $stone)
<li class="stands">
<svg width="96" height="58" viewBox="0 0 96 58" aria-hidden="true">
<path d="{{ $stone['shape'] }}"/><text x="48" y="34">{{ $stone['name'] }}</text>
</svg>
<span class="fine">{{ $stone['words'] }}</span>
</li>
@endforeach
</ol>
<p>
<b>{{ $update->total() }}</b> {{ $update->work() }}
@unless ($update->asked)
<span class="fine">Nothing on this job asks for it; without a reason no firmware is updated.</span>
@endunless
</p>
@endif
<div class="table-responsive" tabindex="0">
<table class="plain stack">
<thead>
<tr>
<th>release</th><th>over</th><th>brings</th><th>runs</th><th>board revision</th><th>file</th><th></th>
</tr>
</thead>
<tbody>
@foreach ($update->rows() as $row)
<tr>
<td><b>{{ $row['release']->version }}</b> <span class="fine">{{ $row['release']->asOf }}</span></td>
<td data-label="over">{{ $row['over'] }}</td>
<td data-label="brings">{{ $row['brings'] }}</td>
<td data-label="runs">{{ $row['runs'] }}</td>
<td data-label="revision">{{ $row['revision'] }}</td>
<td class="mono">{{ $row['release']->file }}</td>
<td><b class="{{ $row['class'] }}">{{ $row['standing'] }}</b></td>
</tr>
@endforeach
</tbody>
</table>
</div>
<p>
{{ $update->wayBack() }}
<span class="fine">Storage device over network; FAT32, top folder, a socket on the board itself.</span>
</p>
</section>
