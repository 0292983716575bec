@if ($step->cautions !== [])
<ul class="cautions">@foreach ($step->cautions as $caution)<li>{{ $caution }}</li>@endforeach</ul>
@endif
<ol class="do">@foreach ($step->instructions as $line)<li>@words($line)</li>@endforeach</ol>
@if ($step->rows !== [])
<div class="table-responsive" tabindex="0"><table class="plain rows stack"><thead><tr>@foreach (array_keys($step->rows[0]) as $head)<th>{{ $head }}</th>@endforeach</tr></thead>
<tbody>@foreach ($step->rows as $row)<tr>@foreach ($row as $head => $cell)<td class="{{ $head === 'becomes' || $head === 'answer' || $head === 'must be' ? 'to' : ($head === 'was' ? 'was' : '') }}" @unless ($loop->first) data-label="{{ $head }}" @endunless>{{ $cell }}</td>@endforeach</tr>@endforeach</tbody></table></div>
@endif
@if (isset($shelf) && $shelf->isNotEmpty())<p class="from-shelf">On the shelf: @foreach ($shelf as $file)<a href="/shelf/{{ $file->id }}/ways">{{ $file->title() }}</a>@if (! $loop->last) · @endif @endforeach <span class="fine">a stick can be built and proven from here</span></p>@endif
