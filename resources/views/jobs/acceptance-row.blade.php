<div class="row-to-read {{ $row->verdict() }}">
<div class="row-field">
@include("run.field.{$field->control()}")
@if ($wanted->hint)
<div class="form-text mono">{{ $wanted->hint }}</div>
@endif
@include('parts.error', ['field' => $wanted->id])
</div>
<div class="row-says">
<p>
@if ($row->verdict() === 'differs')
<b>differs</b>,
@if ($row->observedBeside() !== '')
read <span class="mono">{{ $row->observedBeside() }}</span>,
@endif
@endif
@if ($field->control() !== 'ticks')
expected <span class="mono">{{ $row->expected() }}</span>
@endif
@if (! in_array($row->tolerance(), ['exact', 'one of them'], true))
<span class="fine">({{ $row->tolerance() }})</span>
@endif
</p>
@if ($row->remedy() !== '')
<p>{{ $row->remedy() }}</p>
@endif
@if ($row->toldBy() !== '')
<p class="fine">Told by: {{ $row->toldBy() }}</p>
@endif
@if ($wanted->read !== '')
<p class="fine">Quickest to read: {{ $wanted->read }}</p>
@endif
@include('jobs.acceptance-signed')
@if ($page->isLead && $row->verdict() === 'differs')
<label class="form-label fine" for="a-{{ $wanted->id }}">It is so all the same, because</label>
<input id="a-{{ $wanted->id }}" name="accepted[{{ $wanted->id }}]" class="form-control" maxlength="400"
 value="{{ old('accepted')[$wanted->id] ?? '' }}">
@endif
</div>
</div>
