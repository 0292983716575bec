<div id="gentler" aria-live="polite">
@if ($unused !== [])
<div class="gentler unused">
<h3>Said, and of no use for this job as it stands <span class="rule">U1</span></h3>
<p>{{ implode(' · ', $unused) }}. Nothing on its path or its sheet would be otherwise without it.</p>
</div>
@endif
@if ($known !== [])
<div class="gentler">
<h3>What is known not to work on it <span class="rule">T4</span></h3>
@include('jobs.known', ['known' => $known])
</div>
@endif
@if ($gentler !== null)
<div class="gentler">
<h3>{{ $gentler->title() }} <span class="rule">A3</span></h3>
<p>{{ $gentler->sentence() }}</p>
@includeWhen($gentler->first() !== [], 'jobs.rungs', ['rungs' => $gentler->first()])
@if ($gentler->rest() !== [])
<details class="more">
<summary>{{ count($gentler->rest()) }} more that may do</summary>
@include('jobs.rungs', ['rungs' => $gentler->rest()])
</details>
@endif
</div>
@endif
</div>
