<x-act :to="'/jobs/'.$job->id.'/readings'" :seen="$job->last_entry" class="questions here">
<input type="hidden" name="stone" value="{{ $step->id }}">
<label class="form-label" for="r-{{ $loop->index }}">{{ $gate->door($job->id)->door->does }}</label>
<textarea id="r-{{ $loop->index }}" name="output" class="form-control mono" rows="3" spellcheck="false">{{
    old('output')
}}</textarea>
@include('parts.error', ['field' => 'output'])
<button class="btn go mt-2">Read it</button>
<a class="btn mt-2" href="/jobs/{{ $job->id }}/intake">Upload or change the intake</a>
</x-act>
