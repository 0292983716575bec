@extends('layout')
@section('title', $job->title)
@section('content')
<header class="head">
<h1>{{ $job->title }}</h1><span class="goal">{{ $page->goal() }}</span>
<span class="sum">
<b class="hands">hands {{ $page->hands() }}</b> · <b class="walk">walk away {{ $page->walkAway() }}</b>
</span>
</header>
@include('jobs.blockers', ['blockers' => $page->plan->blockers])
@if (session('did') === 'replanned' && $page->difference() !== null)
@include('parts.difference', ['difference' => $page->difference(), 'reason' => $page->reason()])
@endif
@include('jobs.tabs', ['tab' => 'path'])
@include('jobs.state')
<div class="water">{{ $path }}</div>
<div class="cols">
<section class="panel work {{ $page->state->value }}" aria-labelledby="stone-title">
<h2 id="stone-title">{{ $step->title }}</h2>
<p class="meta">{{ $page->meta() }}</p>
@if ($page->trouble() !== null)
<p class="wrong">Problem: {{ $page->trouble() }}</p>
@endif
@include('parts.step')
@include('parts.opening-photos')
@foreach ($page->gates() as $gate)
<p class="gate-line {{ $gate['class'] }}">{{ $gate['words'] }}</p>
@endforeach
<div class="acts">
<a class="btn" href="/jobs/{{ $job->id }}/paper">Path on paper</a>
@unless ($job->isOpen())
<a class="btn go" href="/jobs/{{ $job->id }}/handover">Handover sheet</a>
@endunless
</div>
</section>
<aside class="because" aria-label="Because">
<h2>Because</h2>
@include('parts.because')
@if ($page->waitsFor() !== [])
<h2>Waits for</h2>
<ul>
@foreach ($page->waitsFor() as $fact)
<li>{{ $fact }}</li>
@endforeach
</ul>
@endif
</aside>
</div>
@include('jobs.questions')
@include('jobs.assumed')
<div class="cols even">
{{ $page->cores }}
<section class="panel">
<h2>To put back</h2>
@if ($page->putBacks() === [])
<p class="fine">Nothing is weakened or changed at the moment.</p>
@else
<ul class="put-back">
@foreach ($page->putBacks() as $item)
<li><b>{{ $item['what'] }}</b> {{ $item['stays'] }}<br><span class="fine">{{ $item['why'] }}</span></li>
@endforeach
</ul>
@endif
@include('jobs.wait')
<h2>Lay out</h2>
<ul>
@foreach ($page->plan->gather as $item)
<li>{{ $item->what }} <span class="fine">{{ $item->why }}</span></li>
@endforeach
</ul>
</section>
</div>
<section class="panel decisions">
<p>
<a href="/jobs/{{ $job->id }}/assessment">{{ count($page->plan->decisions) }} decisions,
with what was refused and why</a>
</p>
@if ($page->plan->notes !== [])
<details>
<summary>Noted while reading: {{ count($page->plan->notes) }}</summary>
<ul>
@foreach ($page->plan->notes as $note)
<li>{{ $note }}</li>
@endforeach
</ul>
</details>
@endif
<p class="fine">
Revision {{ $job->revision }} ·
<a href="/jobs/{{ $job->id }}/brief.yaml" hx-boost="false" download>brief as YAML</a> ·
<a href="/jobs/{{ $job->id }}/plan.json" hx-boost="false" download>plan as JSON</a> ·
<a href="/jobs/{{ $job->id }}/receipt">receipt</a> ·
<a href="/jobs/{{ $job->id }}/handover">handover sheet</a>
</p>
@if ($page->difference() !== null)
<details>
<summary>What revision {{ $job->revision }} changed</summary>
@include('parts.difference', ['difference' => $page->difference(), 'reason' => $page->reason()])
</details>
@endif
</section>
@endsection
