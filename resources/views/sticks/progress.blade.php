<div id="build" @if ($build->isUnderWay()) hx-get="/sticks/{{ $slug }}/builds/{{ $build->id }}/progress"
 hx-trigger="every 1s" hx-target="this" hx-select="#build" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<div class="cols">
<section
 class="panel {{ $build->state === 'done' ? 'holds-panel' : ($build->state === 'failed' ? 'stop-panel' : '') }}"
 aria-live="polite">
@if ($build->isUnderWay())
<h2>{{ $build->state === 'queued' ? 'Waits for its turn' : $build->stage }}</h2>
<div class="depth" role="progressbar" aria-valuemin="0" aria-valuemax="100" @if ($thousandths !== null)
 aria-valuenow="{{ intdiv($thousandths, 10) }}" @endif aria-label="{{ $build->stage }}">
@if ($thousandths !== null)
<progress max="1000" value="{{ $thousandths }}"></progress>
@else
<progress></progress>
@endif
</div>
<p class="mono figures">
@if ($build->stage_bytes > 0)
{{ \Cobblestone\Quantity\Bytes::of($build->done_bytes)->decimal() }} of
{{ \Cobblestone\Quantity\Bytes::of($build->stage_bytes)->decimal() }}@elseif ($build->done_bytes > 0)
{{ \Cobblestone\Quantity\Bytes::of($build->done_bytes)->decimal() }}@endif
@if ($build->rate() !== null)
 · {{ $rate }}
@endif
@if ($build->left() !== null)
 · {{ \App\View\ShelfWords::left($build->left()) }}
@endif
</p>
<p class="fine">You can leave this page or load it again: the build goes on. Until every byte has been read back the
stick is <b>unfinished</b>.</p>
@if (auth()->user()->mayWork())
<form method="post" action="/sticks/{{ $slug }}/builds/{{ $build->id }}/cancel">
@csrf
<button class="btn stop" data-key="c" @disabled($build->cancel)>{{ $build->cancel ? 'Stopping …' : 'Cancel' }}
<kbd>c</kbd></button>
</form>
@endif
@elseif ($build->state === 'done')
<h2>Good: every byte was read back and is as it should be</h2>
<dl class="findings"><dt>Written</dt>
<dd>{{ \Cobblestone\Quantity\Bytes::of($build->result['bytes'])->decimal() }} in
{{ \App\View\ShelfWords::clock($build->result['write_seconds']) }}</dd>
<dt>Read back</dt>
<dd>{{ $build->result['files'] }} {{ $build->plan['mode'] === 'raw' ? 'image' : 'files' }} in
{{ \App\View\ShelfWords::clock($build->result['verify_seconds']) }}, past the cache, by SHA-256</dd>
@if (($build->result['attempts'] ?? []) !== [])
<dt>On the way</dt><dd>
@foreach ($build->result['attempts'] as $attempt)
{{ $attempt['message'] }} {{ $attempt['next'] }}
@endforeach
</dd>
@endif
<dt>Begun by</dt>
<dd>{{ $build->user->title ?? 'the command line' }}, {!! \App\View\Words::time($build->created_at) !!}</dd></dl>
<p><a class="btn go" href="/sticks/{{ $slug }}">The stick</a></p>
@else
<h2>{{ $build->state === 'cancelled' ? 'Cancelled' : 'It failed' }}</h2>
@if ($build->state === 'failed')<p>{{ $build->fault }}</p>@endif
<p>The stick is <b>{{ $condition->title() }}</b>.</p>
<p>
@if ($build->shelf_file_id)
<a class="btn go" href="/shelf/{{ $build->shelf_file_id }}/ways?stick={{ $slug }}">Try again</a>
@endif
<a class="btn" href="/sticks/{{ $slug }}">The stick</a></p>
@endif
</section>
<section class="panel">@include('parts.core')</section>
</div>
<section class="panel"><h2>Take it to another computer</h2>
<p>The same plan, for a real stick elsewhere: the script shows what it would do, and writes only when told to.</p>
<div class="acts">
@foreach ($exports as $file => $title)
<a class="btn" href="/sticks/{{ $slug }}/builds/{{ $build->id }}/{{ $file }}" hx-boost="false" download>{{ $title }}
<small class="mono">{{ $file }}</small></a>@endforeach
@if ($build->state === 'done')<a class="btn" href="/sticks/{{ $slug }}/label">Label</a>@endif</div></section>
</div>
