<section class="panel" id="incidents"><h2>What went wrong, and what helped</h2>
@if ($incidents->isEmpty())
<p>Nothing yet. Whoever goes on after a problem can say what it was and what helped; it then stands here.</p>
@endif
@foreach ($incidents->told as $one)
<article class="incident">
<p><b>{{ $one->seen }}</b> · <a href="/jobs/{{ $one->job }}?stone={{ $one->step }}">job
{{ sprintf('%04d', $one->job) }}</a>, {{ $one->by }}, {{ $one->minutes }} min</p>
@if (auth()->user()->isLead())
<form method="post" action="/incidents/{{ $one->entry }}">
@csrf
<input type="hidden" name="entry" value="{{ $one->entry }}">
@includeWhen($incidents->wasSent($one), 'catalogue.incident-errors')
<div class="row g-2">
<div class="col-md-4"><label class="form-label" for="seen-{{ $one->entry }}">What is seen</label>
<input id="seen-{{ $one->entry }}" name="seen" class="form-control" maxlength="200"
 value="{{ $incidents->typed($one, 'seen') }}" @readonly($one->symptom !== null)></div>
<div class="col-md-4"><label class="form-label" for="cause-{{ $one->entry }}">What it was</label>
<input id="cause-{{ $one->entry }}" name="cause" class="form-control" maxlength="400"
 value="{{ $incidents->typed($one, 'cause') }}"></div>
<div class="col-md-4"><label class="form-label" for="fix-{{ $one->entry }}">What helps</label>
<input id="fix-{{ $one->entry }}" name="fix" class="form-control" maxlength="400"
 value="{{ $incidents->typed($one, 'fix') }}"></div>
<div class="col-md-4"><label class="form-label" for="blames-{{ $one->entry }}">It counts against</label>
<select id="blames-{{ $one->entry }}" name="blames" class="form-select">
<option value="">nothing</option>
@foreach ($incidents::blames() as $blame => $title)
<option value="{{ $blame }}" @selected($incidents->typed($one, 'blames') === $blame)>{{ $title }}</option>
@endforeach
</select></div>
</div>
<div class="acts"><button class="btn small" name="decision" value="taken">Into the index</button>
<button class="btn small" name="decision" value="let-go">Let go</button>
<span class="fine">No names of people: the index stays when the job is gone.</span></div>
</form>
@else
<p>It was: {{ $one->cause }}@if ($one->fix !== ''); what helped: {{ $one->fix }}@endif</p>
@endif
</article>
@endforeach
@if ($incidents->fixes !== [])
<h3>Fixes of the index that helped here</h3>
<table class="plain stack">
<thead><tr><th>what was seen</th><th>what it was</th><th>here</th><th>looked for</th><th></th></tr></thead>
<tbody>
@foreach ($incidents->fixes as $fix)
<tr><td>{{ $fix['name'] }}</td><td data-label="what it was">{{ $fix['cause'] }}</td>
<td data-label="here">{{ $fix['words'] }}</td>
<td data-label="looked for">{{ $fix['looked'] }}</td>
<td>
@if ($fix['later'] && auth()->user()->isLead())
<form method="post" action="/incidents/first">
@csrf
<input type="hidden" name="symptom" value="{{ $fix['symptom'] }}">
<input type="hidden" name="cause" value="{{ $fix['cause'] }}">
<button class="btn small">Look for it first</button>
</form>
@endif
</td></tr>
@endforeach
</tbody>
</table>
@endif
</section>
