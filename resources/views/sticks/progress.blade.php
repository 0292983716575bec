<div id="build" @if ($card->isUnderWay()) hx-get="/sticks/{{ $slug }}/builds/{{ $build->id }}/progress"
 hx-trigger="every 1s" hx-target="this" hx-select="#build" hx-swap="outerHTML" hx-select-oob="unset" @endif>
<div class="cols">
<section class="panel {{ $card->mood() }}" aria-live="polite">
<h2>{{ $card->title() }}</h2>
@if ($card->isUnderWay())
<div class="depth" role="progressbar" aria-valuemin="0" aria-valuemax="1000" @if ($card->thousandths() !== null)
 aria-valuenow="{{ $card->thousandths() }}" @endif aria-label="{{ $card->stage() }}">
<progress max="1000" @if ($card->thousandths() !== null) value="{{ $card->thousandths() }}" @endif></progress>
</div>
<p class="mono figures">{{ $card->figures() }}</p>
<p class="fine">You can leave this page or load it again: the build goes on. Until every byte has been read back the
stick is <b>unfinished</b>.</p>
@if ($card->canBeCancelled())
<form method="post" action="/sticks/{{ $slug }}/builds/{{ $build->id }}/cancel">
@csrf
<button class="btn stop" data-key="c" @disabled($card->isCancelling())>{{ $card->cancelWord() }} <kbd>c</kbd></button>
</form>
@endif
@elseif ($card->isDone())
<dl class="findings">
@foreach ($card->findings() as $what => $found)
<dt>{{ $what }}</dt>
<dd>{{ $found }}</dd>
@endforeach
@if ($build->job_id !== null)
<dt>For</dt>
<dd><a href="/jobs/{{ $build->job_id }}">{{ $card->job() }}</a></dd>
@endif
<dt>Begun by</dt>
<dd>{{ $card->begunBy() }}, {!! \App\View\Words::time($build->created_at) !!}</dd></dl>
<p><a class="btn go" href="/sticks/{{ $slug }}">The stick</a>
<a class="btn" href="/sticks/{{ $slug }}/starts">Start it here</a></p>
@else
@if ($card->fault() !== '')
<p>{{ $card->fault() }}</p>
@endif
<p>The stick is <b>{{ $card->stickIs() }}</b>.</p>
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
<small class="mono">{{ $file }}</small></a>
@endforeach
@if ($card->isDone())
<a class="btn" href="/sticks/{{ $slug }}/label">Label</a>
@endif
</div></section>
</div>
