@extends('layout')
@section('title', "{$page->stick->name}, on another computer")
@section('content')
<header class="head"><h1>{{ $page->stick->name }}</h1><span class="goal">on another computer</span>
<a class="btn ms-auto" href="/shelf/{{ $page->file->id }}/ways?stick={{ $page->stick->id }}">The ways</a></header>
<form method="get" action="/shelf/{{ $page->file->id }}/elsewhere" class="panel pick-stick">
<input type="hidden" name="stick" value="{{ $page->stick->id }}">
<input type="hidden" name="way" value="{{ $page->way->key }}">
<input type="hidden" name="drivers" value="{{ $page->drivers }}">
<input type="hidden" name="job" value="{{ $page->job }}">
<span><b class="mono">{{ $page->file->name }}</b>, {{ lcfirst($page->way->title) }}</span>
<label class="form-label" for="host">It is made on</label>
<select id="host" name="host" class="form-select" data-key="s">
@foreach ($page->hosts as $id => $host)
<option value="{{ $id }}" @selected($page->host?->id === $id)>{{ $host->name }}</option>
@endforeach
</select>
<button class="btn">Show</button>
</form>
@include('parts.error', ['field' => 'host'])
@include('parts.error', ['field' => 'stick'])
@include('parts.error', ['field' => 'way'])
@if ($page->host === null)
<x-panel title="No other computer"><p>The catalogue knows no kind of computer that can make this stick.</p></x-panel>
@elseif (! $page->isPossible())
<x-panel title="Not there" class="stop-panel">
@foreach ($page->against as $why)
<p>{{ $why }}</p>
@endforeach
</x-panel>
@else
<div class="cols">
<x-panel title="There">
<ol class="says">
<li>Take the image, <span class="mono">{{ $page->file->name }}</span>@if ($page->drivers !== null), the folder
<span class="mono">{{ $page->drivers }}</span>@endif and the script there:
<br><a class="btn go" href="{{ $page->script() }}" hx-boost="false" download data-key="g">Script <kbd>g</kbd>
<small class="mono">make-stick.sh</small></a></li>
<li>List the drives: <code class="mono">{{ $page->drives() }}</code>. A drive is named such as
<code class="mono">{{ $page->host->drive }}</code>: {{ $page->host->drives }}.</li>
<li>See what it would do: <code class="mono">{{ $page->command() }}</code></li>
<li>The same with <code class="mono">--write</code>. It compares size{{ $page->stick->serial ? ', serial' : '' }}
and checksum, asks for {{ $page->stick->serial ? 'the last four of the serial' : 'the size in bytes' }}, writes, and
reads back.</li>
</ol>
@if ($page->lacks() !== [])
<p class="fine">What may be missing there:
@foreach ($page->lacks() as $tool)
<span class="mono">{{ $tool->tool }}</span> ({{ $tool->get }}){{ $loop->last ? '.' : ',' }}
@endforeach
The script names what it misses before it touches anything.</p>
@endif
<p class="fine">As of {{ $page->host->asOf }}, {{ $page->host->source }}.</p>
</x-panel>
<x-panel title="And here again">
<p>What a script says of its own work is read from that computer. Plugged in here, {{ $page->proof() }}. Nothing is
written.</p>
@if ($mayWork)
<form method="post" action="/shelf/{{ $page->file->id }}/elsewhere">
@csrf
<input type="hidden" name="stick" value="{{ $page->stick->id }}">
<input type="hidden" name="way" value="{{ $page->way->key }}">
<input type="hidden" name="drivers" value="{{ $page->drivers }}">
<input type="hidden" name="job" value="{{ $page->job }}">
<input type="hidden" name="host" value="{{ $page->host->id }}">
<button class="btn" data-key="p">{{ $page->stick->name }} is here: prove it <kbd>p</kbd></button>
</form>
@endif
</x-panel>
</div>
@endif
@endsection
