@extends('layout')
@section('title', "Drivers, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">drivers</span></header>
@include('jobs.tabs', ['tab' => 'install'])
@include('jobs.install-nav', ['here' => 'drivers'])
<section class="panel" aria-labelledby="shelf-title">
<h2 id="shelf-title">What hangs ready</h2>
@if ($page->nothing() !== '')
<p>{{ $page->nothing() }}</p>
@else
<p>{{ $page->sentence() }}</p>
<ul class="pegs">
@foreach ($page->pegs as $peg)
<li class="{{ $peg->hangs() }}">
@include('jobs.peg')
<span class="name">{{ $peg->name() }}</span>
<span class="stands">{{ $peg->stands() }}</span>
</li>
@endforeach
</ul>
@include('jobs.laid')
<table class="plain stack">
<thead><tr><th>device</th><th>identifier</th><th>driver</th><th>why this one</th></tr></thead>
<tbody>
@foreach ($page->pegs as $peg)
<tr>
<td><b>{{ $peg->name() }}</b>
@if ($peg->seen() !== '')
<br><span class="fine">last look: {{ $peg->seen() }}</span>
@endif
</td>
<td data-label="identifier"><code>{{ $peg->identifier() }}</code></td>
<td data-label="driver">
@if ($peg->step() !== '')
<a href="/jobs/{{ $job->id }}?stone={{ $peg->step() }}">{{ $peg->package() }}</a><br>
@endif
<span class="fine">{{ $peg->stands() }}</span>
</td>
<td data-label="why this one">
@if ($peg->claim() !== '')
<span class="mono fine">{{ $peg->claim() }}</span>
@endif
@foreach ($peg->refused() as $one)
<br><span class="fine">not {{ $one['package'] }}: {{ $one['why'] }}</span>
@endforeach
@if ($peg->where() !== [])
<details><summary>Where to look</summary>
<ol>
@foreach ($peg->where() as $place)
<li>@words($place)</li>
@endforeach
</ol>
</details>
@endif
</td>
</tr>
@endforeach
</tbody>
</table>
@endif
@foreach (array_filter([$page->order(), $page->online()]) as $decision)
<p class="fine"><b>{{ $decision->title }}:</b> {{ $decision->chosen }}. {{ implode(' ', $decision->reasons) }}</p>
@endforeach
</section>
<section class="panel" id="audit" aria-labelledby="audit-title">
<h2 id="audit-title">Looks at the devices
@if ($page->coverage() !== '')
<span class="toward">{{ $page->coverage() }}</span>
@endif
</h2>
@include('parts.left-out')
@if ($page->looks === [])
<p>Nobody has counted yet. After each package, bring the machine's device list: what it cleared is counted, and what is
left is named.</p>
@else
@foreach ($page->left() as $one)
<div class="left">
<p><b>{{ $one['device']->name }}</b> <code>{{ $one['device']->identifier }}</code> has no driver
@if ($one['device']->status !== null)
<span class="fine">({{ $one['device']->status }})</span>
@endif
.
@if ($one['hung'] !== '')
{{ $one['hung'] }} is for it and not installed yet.
@endif
</p>
@if ($one['hung'] === '')
<details><summary>Where to look</summary>
<ol>
@foreach ($one['where'] as $place)
<li>@words($place)</li>
@endforeach
</ol>
</details>
@endif
</div>
@endforeach
@if ($page->left() === [] && $page->unsaid() === 0)
<p>Every device on the last list has a driver.</p>
@endif
@if ($page->unsaid() > 0)
<p class="fine">Of {{ $page->unsaid() }} on the last list it is not said whether they have a driver. A list with a
column for the status says it, and so does <code>lspci -vmmnnk</code>.</p>
@endif
<table class="plain stack">
<thead>
<tr><th>look</th><th class="num">with a driver</th><th>got one</th><th>lost theirs</th><th>came</th><th>went</th></tr>
</thead>
<tbody>
@foreach ($page->steps() as $row)
<tr>
<td>{!! \App\View\Words::time($row['look']->created_at) !!}, {{ $row['look']->user->title }}<br>
<span class="fine">{{ $row['look']->source }}</span></td>
<td class="num" data-label="with a driver">{{ $row['driven'] }}</td>
<td data-label="got one">{{ $row['cleared'] }}</td>
<td data-label="lost theirs">{{ $row['lost'] }}</td>
<td data-label="came">{{ $row['came'] }}</td>
<td data-label="went">{{ $row['went'] }}</td>
</tr>
@endforeach
</tbody>
</table>
@endif
@if ($mayWork)
<x-act :to="'/jobs/'.$job->id.'/drivers'" :seen="$job->last_entry" class="evidence" enctype="multipart/form-data">
<label class="form-label" for="output">Device list, or what <code>lspci -vmmnnk</code> prints</label>
<textarea id="output" name="output" rows="4" class="form-control mono"
 placeholder="Name,Hardware IDs,Status">{{ old('output') }}</textarea>
@error('output')
<p class="wrong">{{ $message }}</p>
@enderror
<label class="form-label" for="files">or files, the collector's bundle too</label>
<input id="files" type="file" name="files[]" multiple class="form-control">
@error('files')
<p class="wrong">{{ $message }}</p>
@enderror
<button class="btn go mt-2">Count them</button>
</x-act>
@endif
</section>
@endsection
