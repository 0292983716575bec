<?php ($questions = $progress->plan->questions); ?>
<?php if($questions !== []): ?>
<form method="post" action="/jobs/<?php echo e($job->id); ?>/answers" class="panel questions"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e($job->last_entry); ?>">
<h2><?php echo e(count($questions) === 1 ? 'One question' : count($questions).' questions'); ?></h2>
<?php $__currentLoopData = $questions; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $question): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<fieldset><legend><?php echo \App\View\Words::html($question->text); ?></legend>
<?php if($question->fact === 'target.reading'): ?>
<textarea name="lsblk" class="form-control mono" rows="3" spellcheck="false" aria-label="Output of lsblk"><?php echo e(old('lsblk')); ?></textarea><?php echo $__env->make('parts.error', ['field' => 'lsblk'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<div class="row g-2 mt-1"><div class="col-sm-6"><input name="facts[target.serial]" class="form-control mono" placeholder="or: serial as printed" aria-label="Serial of the drive" value="<?php echo e(old('facts')['target.serial'] ?? ''); ?>"></div><div class="col-sm-6"><input name="facts[target.bytes]" class="form-control mono" placeholder="and exact bytes" aria-label="Bytes of the drive" value="<?php echo e(old('facts')['target.bytes'] ?? ''); ?>"></div></div>
<?php elseif($question->options !== []): ?>
<div class="choices"><?php $__currentLoopData = $question->options; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $value => $words): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><label><input type="radio" name="facts[<?php echo e($question->fact); ?>]" value="<?php echo e($value); ?>" <?php if((old('facts')[$question->fact] ?? '') === (string) $value): echo 'checked'; endif; ?>> <?php echo e($words); ?></label><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></div>
<?php else: ?>
<input name="facts[<?php echo e($question->fact); ?>]" class="form-control mono" aria-label="Answer" value="<?php echo e(old('facts')[$question->fact] ?? ''); ?>">
<?php endif; ?>
<p class="fine">Decides <?php echo e($question->decides); ?>. <span class="rule"><?php echo e($question->rule); ?></span><?php echo e($question->holds ? ' The one-way step waits for it.' : ''); ?></p></fieldset>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php echo $__env->make('parts.error', ['field' => 'facts'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<?php if(auth()->user()->mayWork()): ?><button class="btn go">Answer</button><?php endif; ?>
</form>
<?php endif; ?>
<?php /**PATH /work/main/resources/views/jobs/questions.blade.php ENDPATH**/ ?>