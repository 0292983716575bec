@extends('layout')
@section('title', "Ways for {$file->title()}")
@section('content')
<header class="head"><h1>{{ $file->title() }}</h1>
<span class="goal">ways from this image to a stick</span><a class="btn ms-auto" href="/shelf/{{ $file->id }}">The
image</a></header>
@if ($report->isDamaged())
<div class="panel stop-panel" role="alert"><p><b>This image is damaged.</b> {{ $report->damage[0] }}</p></div>
@endif
@if ($file->proof() === 'different')
<div class="panel stop-panel" role="alert"><p>
<b>Its checksum is not the published one.</b> Fetch it again before a stick is made from it.</p></div>
@endif
<form method="get" action="/shelf/{{ $file->id }}/ways" class="panel pick-stick">
<label class="form-label" for="stick">Stick</label><select id="stick" name="stick" class="form-select" data-key="s">
@foreach ($sticks as $slug => $one)
<option value="{{ $slug }}" @selected($stick?->id === $slug)>{{ $one->name }} · {{ $one->size()->decimal() }} ·
{{ $one->contents ?? 'contents not known' }}{{ $one->contentsMayGo ? '' : ', must stay' }}</option>
@endforeach
</select>
@if ($folders !== [])
<label class="form-label" for="drivers">Drivers along</label><select id="drivers" name="drivers" class="form-select">
<option value="">none</option>
@foreach ($folders as $folder)
<option @selected($drivers === $folder)>{{ $folder }}</option>
@endforeach
</select>
@endif
@if ($answering !== [])
<label class="form-label" for="job">For the job</label><select id="job" name="job" class="form-select">
<option value="">none</option>
@foreach ($answering as $id => $title)
<option value="{{ $id }}" @selected($job === $id)>{{ $title }}</option>
@endforeach
</select>
@endif
<button class="btn">Compare</button>
<details class="fine"><summary>Why {{ $choice->chosen }} is proposed, and why not the others</summary><ul><li>
<b>{{ $choice->chosen }}</b>: {{ implode(' ', $choice->reasons) }}</li>
@foreach ($choice->refused as $option => $why)
<li><b>{{ $option }}</b>: {{ implode(' ', $why) }}</li>
@endforeach
</ul></details></form>
<form method="post" action="/shelf/{{ $file->id }}/builds">
@csrf
<input type="hidden" name="stick" value="{{ $stick?->id }}">
<input type="hidden" name="drivers" value="{{ $drivers }}">
<input type="hidden" name="job" value="{{ isset($answering[$job]) ? $job : '' }}">
<div class="panel"><div class="table-responsive" tabindex="0"><table class="plain stack ways"><thead><tr><th>way</th>
<th>starts</th><th class="num">needs</th><th class="num">write</th><th class="num">read back</th>
<th>costs, and what it cannot do</th></tr></thead><tbody>
@foreach ($comparison->ways as $way)
<tr class="{{ $way->isPossible() ? 'can' : 'cannot' }}"><td><label class="way">
@if ($way->isPossible() && $way->buildable && $mayWork)
<input type="radio" name="way" value="{{ $way->key }}" @checked($picked === $way->key)>
@endif
<b>{{ $way->title }}</b></label>
@if ($comparison->decision?->chosen === $way->title)
<span class="fine"> · by policy</span>@endif
</td>
@if ($way->isPossible())
<td>{{ $way->starts }}</td>
<td class="num" title="{{ $way->need?->exact() }}">{{ $way->need?->decimal() ?? 'not known' }}</td>
<td class="num">{{ $way->write ? \App\View\ShelfWords::clock($way->write->time->seconds) : '–' }}</td>
<td class="num">{{ $way->verify ? \App\View\ShelfWords::clock($way->verify->time->seconds) : '–' }}</td>
<td class="fine">
<span class="pace">{{ ucfirst($way->pace) }}.</span>
@foreach ([...$way->costs, ...$way->cannot] as $line)
{{ $line }}
@endforeach
</td>
@else<td colspan="5" class="fine"><b>Not possible:</b> {{ implode(' ', $way->against) }}</td>@endif</tr>@endforeach
</tbody></table></div>@include('parts.error', ['field' => 'way'])
@include('parts.error', ['field' => 'job'])
@if ($comparison->decision)
<p class="fine">{{ $comparison->decision->title }}: <b>{{ $comparison->decision->chosen }}</b>.
{{ implode(' ', $comparison->decision->reasons) }} (rule {{ $comparison->decision->rule }};
{{ implode('; ', $comparison->decision->facts) }})</p>
@if ($label !== null)
<p class="fine">With files copied the label will be
<code>{{ $label }}</code>@if ($label !== $report->label)
: "{{ $report->label ?? $file->title() }}" as FAT takes it, and unlike the labels of the other sticks
@endif
.</p>
@endif
@if ($stick)
<p class="fine">On another computer, without building it here:
@foreach ($elsewhere as $way)
{{ $loop->first ? '' : '·' }}
<a href="{{ \App\View\ShelfWords::elsewhere($file, $stick, $way, $drivers, $job) }}">{{ lcfirst($way->title) }}</a>
@endforeach
</p>
@endif
@else
<p class="wrong">No way leads from this image to
{{ $stick?->name ?? 'a stick' }}.
@if ($sticks === [])
The register holds no sticks: add some to the catalogue.
@else
Choose a larger stick, or another image.
@endif
</p>
@endif
</div>
@if ($under)
<div class="panel"><p>
<b>{{ $stick->name }} is being built right now.</b> <a href="/sticks/{{ $stick->id }}/builds/{{ $under->id }}">See how
far it is.</a></p>
</div>
@elseif ($stick && $mayWork && $comparison->decision)
@if (! $stick->contentsMayGo)
<div class="panel stop-panel"><p>
<b>What is on {{ $stick->name }} must stay:</b> {{ $stick->contents }}. Choose another stick.</p></div>
@elseif ($condition === \Cobblestone\Media\Build\StickCondition::Retired)
<div class="panel stop-panel"><p><b>{{ $stick->name }} is retired.</b> Choose another stick.</p></div>
@else
<section class="panel one-way-panel"><div class="strip"><p class="strip-what">
<b>{{ $stick->name }}</b>, {{ number_format($stick->size()->count, 0, '.', ' ') }}
bytes{{ $stick->serial ? ', serial' : '' }}
@if ($stick->serial)
<code>{{ \Cobblestone\Runbook\Confirmation::mask($stick->serial) }}</code>@endif
<br>Lost for the bench: <b>{{ $stick->contents ?? 'whatever is on it' }}</b>. This cannot be undone.</p>
@if ($stick->serial)
<label for="serial">Last four of the serial, as printed on the stick</label>
<input id="serial" name="serial" class="form-control mono serial" maxlength="12" autocomplete="off"
 autocapitalize="characters" spellcheck="false" required data-key="g">
@include('parts.error', ['field' => 'serial'])
@endif
@if (! $stick->serial || $twins > 0)
<p>{{ $stick->serial ? 'Another stick of the register carries the same serial' : 'This stick names no serial' }}: take
all other removable drives out, compare size, model and contents, and put our label on it before it is written.</p>
@endif
@include('parts.error', ['field' => 'stick'])
<button class="btn stop">It is this stick: build <kbd>Enter</kbd></button></div></section>
@endif
@endif
</form>
@endsection
