<section class="panel" id="read" aria-labelledby="read-title">
<h2 id="read-title">Read the finished machine</h2>
<details @if ($page->asksForReading($errors)) open @endif>
<summary>{{ $page->readWords() }}</summary>
<p class="fine">The collector's bundle, started on the finished machine, answers most rows; a device list, or what a
single tool prints, answers its own. Another machine's readings are refused.</p>
<x-act :to="'/jobs/'.$job->id.'/acceptance/readings'" :seen="$job->last_entry" class="evidence"
 enctype="multipart/form-data">
<label class="form-label" for="files">Bundle, or files of single tools</label>
<input id="files" type="file" name="files[]" multiple class="form-control">
@error('files')
<p class="wrong">{{ $message }}</p>
@enderror
<label class="form-label" for="output">or what a tool printed</label>
<textarea id="output" name="output" rows="3" class="form-control mono" spellcheck="false">{{ old('output') }}</textarea>
@include('parts.error', ['field' => 'output'])
<button class="btn go mt-2" data-key="u">Read it <kbd>u</kbd></button>
</x-act>
</details>
</section>
