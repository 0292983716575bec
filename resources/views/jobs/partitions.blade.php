@extends('layout')
@section('title', "Partitions, {$job->title}")
@section('content')
<header class="head"><h1>{{ $job->title }}</h1><span class="goal">partitions of the target drive</span></header>
@include('jobs.tabs', ['tab' => 'install'])
@include('jobs.install-nav', ['here' => 'partitions'])
@includeWhen($page->blockers() !== [], 'jobs.blockers', ['blockers' => $page->blockers()])
<div class="cols even">
<section class="panel" aria-labelledby="stays-title">
<h2 id="stays-title">What stays, what goes</h2>
@if ($page->missing() !== '')
<p>{{ $page->missing() }}</p>
@else
<x-act :to="'/jobs/'.$job->id.'/partitions'" :seen="$job->last_entry">
<fieldset @disabled(! $mayWork)>
<table class="plain stack stays">
<thead><tr><th>stays</th><th class="num">size</th><th class="num">used</th><th>file system</th>
<th class="num">first sector</th></tr></thead>
<tbody>
@foreach ($page->rows() as $row)
<tr>
<td><label><input type="checkbox" id="s-{{ $row['start'] }}" name="stays[]" value="{{ $row['start'] }}"
 @checked($row['stays'])> {{ $row['title'] }}</label></td>
<td class="num" data-label="size">{{ $row['size'] }}</td>
<td class="num" data-label="used">{{ $row['used'] }}</td>
<td data-label="file system">{{ $row['system'] }}</td>
<td class="num mono" data-label="first sector">{{ $row['start'] }}</td>
</tr>
@endforeach
</tbody>
</table>
<label class="form-label" for="other">System that stays</label>
<select id="other" name="other" class="form-select">
@foreach ($page->others() as $id => $name)
<option value="{{ $id }}" @selected($page->other() === $id)>{{ $name }}</option>
@endforeach
</select>
@include('parts.error', ['field' => 'stays'])
@include('parts.error', ['field' => 'other'])
@include('parts.error', ['field' => 'stays.*'])
<p class="fine">Nothing ticked: the whole drive is laid out anew. A partition is known by its first sector; numbers and
letters differ from start to start.</p>
@if ($mayWork)
<div class="acts"><button class="btn go">Compute the path again</button></div>
@endif
</fieldset>
</x-act>
@endif
</section>
@if ($core = $page->core())
<section class="panel" aria-label="The drive as it is and as it will be">
@include('parts.core', ['core' => $core])
</section>
@endif
</div>
@if ($page->decisions() !== [])
<section class="panel"><h2>Decided</h2>
<dl class="findings">
@foreach ($page->decisions() as $decision)
<dt>{{ $decision->title }} <span class="rule">{{ $decision->rule }}</span></dt>
<dd><b>{{ $decision->chosen }}</b>. {{ implode(' ', $decision->reasons) }}</dd>
@endforeach
</dl>
</section>
@endif
@endsection
