@extends('layout')
@section('title', "Intake of {$job->title}")
@section('content')
<header class="head">
<h1>{{ $job->title }}</h1>
<span class="goal">a change computes the path again; finished stones stay</span>
</header>
@include('jobs.tabs', ['tab' => 'intake'])
@includeWhen(session('read') !== null, 'jobs.read', ['read' => session('read')])
@includeWhen($page->contradictions() !== [], 'jobs.contradictions')
<x-act :to="'/jobs/'.$job->id.'/readings'" :seen="$job->last_entry" class="panel" enctype="multipart/form-data"
 hx-boost="false">
<h2>Read the machine</h2>
<div class="row g-3">
<div class="col-md-5">
<label class="form-label" for="files">A bundle or files</label>
<input id="files" type="file" name="files[]" multiple class="form-control" aria-describedby="files-help">
<div class="form-text" id="files-help">
<code>collector/cobblestone-collect</code> on any live system makes a bundle.
</div>
@include('parts.error', ['field' => 'files'])
@foreach ($errors->get('files.*') as $messages)
<p class="wrong">{{ $messages[0] }}</p>
@endforeach
</div>
<div class="col-md-7">
<label class="form-label" for="output">Or paste what a tool printed</label>
<textarea id="output" name="output" class="form-control mono" rows="3" spellcheck="false"
 placeholder="lsblk -J -b, lshw -json, lspci -vmmnnk, lsusb, dmidecode, smartctl -j -a, efibootmgr -v,
mokutil --sb-state, a list of devices">{{ old('output') }}</textarea>
@include('parts.error', ['field' => 'output'])
</div>
</div>
<div class="acts"><button class="btn go">Read it</button>
@foreach ($readings as $reading)
<span class="fine">{{ $reading }}</span>
@endforeach
</div>
</x-act>
<x-act :to="'/jobs/'.$job->id.'/intake'" :seen="old('seen', $job->last_entry)" class="panel intake">
@include('jobs.form', ['gentlerAt' => "/jobs/{$job->id}/gentler"])
@include('jobs.facts')
@if ($page->notes() !== [])
<details class="more" open>
<summary>Not understood, or contradictory: {{ count($page->notes()) }}</summary>
<ul>
@foreach ($page->notes() as $note)
<li>{{ $note }}</li>
@endforeach
</ul>
</details>
@endif
<div class="acts"><button class="btn go">Compute the path again</button></div>
</x-act>
<x-act :to="'/jobs/'.$job->id.'/learn'" id="learn" hidden></x-act>
@endsection
