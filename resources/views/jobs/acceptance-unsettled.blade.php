@if ($page->unsettled() === [])
<p>Every row was read and is as expected.</p>
@elseif ($page->mayWork)
<x-act :to="'/jobs/'.$job->id.'/acceptance'" :seen="$job->last_entry" class="evidence rows-to-read">
@foreach ($page->fields($progress) as $field)
@include('jobs.acceptance-row', ['row' => $page->byId()[$field->wanted->id], 'wanted' => $field->wanted])
@endforeach
@include('parts.error', ['field' => 'rows'])
<button class="btn go mt-3" data-key="w">Write it down <kbd>w</kbd></button>
</x-act>
@if ($page->isLead && $page->isOpen())
<x-act :to="'/jobs/'.$job->id.'/acceptance/leave'" :seen="$job->last_entry" class="leave-open">
<label class="form-label" for="reason">What nobody has read stays open, because</label>
<input id="reason" name="reason" class="form-control" maxlength="400" value="{{ old('reason') }}">
@include('parts.error', ['field' => 'reason'])
<button class="btn mt-2">Sign the open rows</button>
</x-act>
@endif
@else
<table class="plain stack">
<thead><tr><th>row</th><th>expected</th><th>read</th></tr></thead>
<tbody>
@foreach ($page->unsettled() as $row)
<tr><td>{{ $row->evidence->label }}</td><td class="mono" data-label="expected">{{ $row->expected() }}</td>
<td class="mono" data-label="read">{{ $row->observed() === '' ? 'nobody has read it' : $row->observed() }}
@include('jobs.acceptance-signed')
</td></tr>
@endforeach
</tbody>
</table>
@endif
