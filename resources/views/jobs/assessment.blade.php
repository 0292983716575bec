@extends('layout')
@section('title', "Assessment of {$job->title}")
@section('content')
<header class="head">
<h1>{{ $job->title }}</h1>
<span class="goal">{{ $page->plan->job->kind->title() }} · {{ $page->plan->job->machine }}</span>
</header>
@include('jobs.tabs', ['tab' => 'assessment'])
@include('jobs.blockers', ['blockers' => $page->plan->blockers])
@error('facts')
<p class="wrong" role="alert">{{ $message }}</p>
@enderror
@include('jobs.questions')
@if ($page->hasLadder())
<x-panel :title="$page->way()">
@if ($page->isProvisional())
<p><b>A gentler way is still possible.</b> {{ $page->settles() }}</p>
@endif
@include('jobs.rungs', ['rungs' => $page->gentler()])
@if ($page->harsher() !== [])
<details class="more">
<summary>Harsher ways: {{ count($page->harsher()) }}</summary>
@include('jobs.rungs', ['rungs' => $page->harsher()])
</details>
@endif
</x-panel>
@endif
@if ($gentler = $page->gentlerWays())
<x-panel :title="$gentler->title()" id="gentler">
<p>{{ $gentler->sentence() }} <span class="rule">A3</span>
@if (! $gentler->isSaid() && auth()->user()->mayWork() && $job->isOpen())
<a href="/jobs/{{ $job->id }}/intake#facts-wish-why">Say it on the intake page</a>
@endif
</p>
@includeWhen($gentler->rungs() !== [], 'jobs.rungs', ['rungs' => $gentler->rungs()])
@if ($gentler->out() !== [])
<details class="more">
<summary>Out on this machine: {{ count($gentler->out()) }}</summary>
@include('jobs.rungs', ['rungs' => $gentler->out()])
</details>
@endif
</x-panel>
@endif
@if ($page->known() !== [])
<x-panel title="What is known not to work" id="known">
@include('jobs.known', ['known' => $page->known()])
</x-panel>
@endif
@if ($page->fits() !== null)
<x-panel :title="$page->fits()">
<div class="table-responsive" tabindex="0">
<table class="plain needs stack">
<thead><tr><th>need</th><th>wanted</th><th>this machine</th><th></th><th></th></tr></thead>
<tbody>
@foreach ($page->needs() as $row)
<tr>
<td><b>{{ $row['title'] }}</b></td><td>{{ $row['needs'] }}</td><td>{{ $row['has'] }}</td>
<td class="need {{ $row['class'] }}">{{ $row['verdict'] }}</td><td class="fine">{{ $row['note'] }}</td>
</tr>
@endforeach
</tbody>
</table>
</div>
</x-panel>
@endif
<div class="cols even">
<x-panel title="Drives">
@forelse ($page->drives() as $drive)
<p class="health {{ $drive['grade'] }}">
<b>{{ $drive['title'] }}</b> · {{ $drive['drive'] }}
@foreach ($drive['facts'] as $fact)
<br><span class="{{ $loop->first ? '' : 'fine' }}">{{ $fact }}</span>
@endforeach
<br><span class="fine">{{ $drive['read'] }}</span>
</p>
@empty
<p class="fine">
No health was read. <code>smartctl -j -a</code> of each drive, or the collector's bundle, on the intake page.
</p>
@endforelse
</x-panel>
@if ($page->encryption() !== null)
<x-panel :title="$page->encryption()">
@if ($decision = $page->decided('assess.encryption'))
<p><b>{{ ucfirst($decision->chosen) }}.</b> {{ implode(' ', $decision->reasons) }} <span class="rule">A7</span></p>
@endif
@if ($page->triggers() !== [])
<ul>
@foreach ($page->triggers() as $trigger)
<li>{{ $trigger }}</li>
@endforeach
</ul>
@endif
@if ($page->atThePrompt() !== [])
<details>
<summary>If it asks for its recovery key</summary>
<ol>
@foreach ($page->atThePrompt() as $line)
<li>{{ $line }}</li>
@endforeach
</ol>
</details>
@endif
</x-panel>
@endif
@if ($page->hasBackup())
<x-panel title="Backup">
@if ($decision = $page->decided('assess.backup'))
<p><b>{{ ucfirst($decision->chosen) }}.</b> {{ implode(' ', $decision->reasons) }}</p>
@endif
@if ($page->notCovered() !== '')
<p class="wrong">Not covered: {{ $page->notCovered() }}.</p>
@endif
<p><a href="/jobs/{{ $job->id }}/backup">Compare both sides file by file</a></p>
</x-panel>
@endif
@if ($memory = $page->memory())
<x-panel title="Memory">
<p>{{ $memory->sentence }}</p>
@if ($memory->next !== null)
<p><b>Next test:</b> {{ $memory->next->sentence }}</p>
@endif
<p><a href="/jobs/{{ $job->id }}/memory">Memory sheet</a></p>
</x-panel>
@endif
@if ($page->support() !== [])
<x-panel title="Support, and what the owner depends on">
<ul>
@foreach ($page->support() as $line)
<li class="{{ $line['class'] }}"><b>{{ $line['lead'] }}</b> {{ $line['words'] }}</li>
@endforeach
</ul>
</x-panel>
@endif
@if ($page->sockets() !== [])
<x-panel title="Sockets, stage by stage">
<table class="plain">
<tbody>
@foreach ($page->sockets() as $stage)
<tr>
<td><b>{{ $stage['stage'] }}</b></td>
<td>
@foreach ($stage['uses'] as $use)
{{ $use }}<br>
@endforeach
<span class="{{ $stage['class'] }}">{{ $stage['note'] }}</span>
</td>
</tr>
@endforeach
</tbody>
</table>
</x-panel>
@endif
</div>
<x-panel title="Decisions" class="decisions">
@foreach ($page->plan->decisions as $decision)
<details>
<summary>
{{ $decision->title }}: <b>{{ $decision->chosen }}</b> <span class="rule">{{ $decision->rule }}</span>
</summary>
<p>{{ implode(' ', $decision->reasons) }}</p>
@if ($decision->refused !== [])
<ul>
@foreach ($decision->refused as $option => $reasons)
<li><s>{{ $option }}</s>: {{ implode(' ', $reasons) }}</li>
@endforeach
</ul>
@endif
<p class="src">{{ implode(' · ', $decision->facts) }}</p>
</details>
@endforeach
</x-panel>
@endsection
