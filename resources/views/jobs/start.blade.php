<section class="panel crossing {{ $card->comesThrough() ? 'comes-through' : 'fails' }}" id="start-{{ $number }}"
 aria-labelledby="start-{{ $number }}-title">
<h2 id="start-{{ $number }}-title">
<a href="/jobs/{{ $job->id }}?stone={{ $start->step }}">{{ $start->title }}</a>
<span class="toward">to {{ $start->wants->title() }}</span>
</h2>
@include('parts.crossing', [
    'stones' => $start->stones,
    'reached' => $start->succeeds,
    'seed' => $card->seed(),
    'bank' => $start->wants->title(),
])
@if ($card->again)
<p class="beneath">{{ $card->sameOnceMore() }}</p>
@elseif (! $card->comesThrough())
<div class="beneath">
<p><b>{{ $card->heading() }}</b> {{ $start->cause }}</p>
<dl>
<dt>you see</dt><dd>{{ $start->seen }}</dd>
@if ($start->fix !== '')
<dt>cheapest way out</dt>
<dd><b>{{ $start->fix }}</b> <span class="fine">{{ $card->takes() }}</span></dd>
@endif
</dl>
@if ($start->blocks)
<p class="gate-line shut">
This holds the stone back until it is settled, or overruled in writing in run mode.
</p>
@endif
</div>
@endif
@if ($card->others() !== '')
<p class="or">
It can also end in: {{ $card->others() }}. What settles it: <b>{{ $card->settledBy() }}</b>.
@if ($card->isSettledOnTheShelf())
<a href="/shelf">Have the image inspected</a>
@else
<a href="/jobs/{{ $job->id }}/settings">Look and record</a>
@endif
</p>
@endif
@if ($card->otherwise() !== [])
<ul class="or">
@foreach ($card->otherwise() as $other)
<li>If {{ $other['fact'] }} is <b>{{ $other['value'] }}</b> after all: {{ $other['end'] }}.</li>
@endforeach
</ul>
@endif
@if ($card->startedHere !== null)
<p class="started {{ $card->startedHere->differs() === true ? 'bad' : '' }}">
<a href="/starts/{{ $card->startedHere->start->id }}">Started here</a>, on {{ $card->startedHere->machine() }},
{!! \App\View\Words::time($card->startedHere->start->created_at) !!}:
<b>{{ $card->startedHere->startedHere() }}</b>. {{ $card->startedHere->verdict() }}
@if ($card->afterHere !== null)
<a href="/starts/{{ $card->afterHere->start->id }}">Its next power-on</a>, from the drive that it wrote:
<b>{{ $card->afterHere->startedHere() }}</b>.
@endif
</p>
@endif
@if ($stick !== null && $card->canBeStarted() && auth()->user()->mayWork())
<x-act :to="'/jobs/'.$job->id.'/rehearsal/start'" class="inline">
<input type="hidden" name="step" value="{{ $start->step }}">
<input type="hidden" name="number" value="{{ $start->number }}">
<button class="btn small">Start {{ $stick->name }} here, as this machine is set then</button>
</x-act>
@endif
<div class="foot">
<span class="ground">Ground: {{ $card->ground() }}
@foreach ($card->said() as $one)
· <b class="{{ $one['class'] }}">{{ $one['words'] }}</b> <span class="fine">{{ $one['by'] }}, {!! $one['at'] !!}</span>
@endforeach
</span>
<details>
<summary>Stone by stone</summary>
<table class="plain">
<tbody>
@foreach ($card->stones() as $stone)
<tr>
<td>{{ $stone['name'] }}</td><td class="{{ $stone['class'] }}">{{ $stone['holds'] }}</td><td>{{ $stone['words'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</details>
@if (auth()->user()->mayWork() && $job->isOpen())
<x-act :to="'/jobs/'.$job->id.'/rehearsal'" :seen="$job->last_entry" class="inline">
<input type="hidden" name="step" value="{{ $start->step }}">
<input type="hidden" name="number" value="{{ $start->number }}">
<input type="hidden" name="outcome" value="{{ $start->outcome->value }}">
<button class="btn small" name="of" value="as-predicted">It went so</button>
</x-act>
<details class="otherwise">
<summary>It went otherwise</summary>
<p class="fine">What happened?
@if ($page->keepsForModel())
“This time” keeps it for this job; “this model does that” keeps it for every {{ $page->machine() }}.
@endif
</p>
<ul>
@foreach ($card->choices() as $choice)
<li>
<span><b>{{ ucfirst($choice->title()) }}</b><br><span class="fine">{{ $choice->seen() }}</span></span>
<x-act :to="'/jobs/'.$job->id.'/rehearsal'" :seen="$job->last_entry">
<input type="hidden" name="step" value="{{ $start->step }}">
<input type="hidden" name="number" value="{{ $start->number }}">
<input type="hidden" name="outcome" value="{{ $choice->value }}">
<button class="btn small" name="of" value="this-time">This time</button>
@if ($page->keepsForModel())
<button class="btn small" name="of" value="model">This model does that</button>
@endif
</x-act>
</li>
@endforeach
</ul>
</details>
@endif
</div>
</section>
