<?php $__env->startSection('title', "Intake of {$job->title}"); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1><?php echo e($job->title); ?></h1><span class="goal">intake · a change computes the path again; finished stones stay</span><a class="btn ms-auto" href="/jobs/<?php echo e($job->id); ?>">Back to the path</a></header>
<form method="post" action="/jobs/<?php echo e($job->id); ?>/intake" class="panel intake"><?php echo csrf_field(); ?><input type="hidden" name="seen" value="<?php echo e(old('seen', $job->last_entry)); ?>">
<?php echo $__env->make('jobs.form', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<h2>What is known of the machine</h2>
<?php echo $__env->make('parts.error', ['field' => 'facts'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<div class="table-responsive"><table class="plain"><thead><tr><th>fact</th><th>value</th><th></th><th>from</th><th>correct it</th></tr></thead><tbody>
<?php $__currentLoopData = $plan['facts']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $fact): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><tr><td class="mono"><?php echo e($fact['name']); ?></td><td><?php echo e(is_array($fact['value']) ? implode(', ', $fact['value']) : (str_ends_with($fact['name'], '_bytes') && is_int($fact['value']) ? \Cobblestone\Quantity\Bytes::of($fact['value'])->decimal() : (str_starts_with($fact['name'], 'target.serial') ? \Cobblestone\Runbook\Confirmation::mask((string) $fact['value']) : $fact['value']))); ?></td><td class="certainty <?php echo e($fact['certainty']); ?>"><?php echo e($fact['certainty']); ?></td><td class="fine"><?php echo e($fact['origin']); ?><?php echo e($fact['at'] ? ', '.$fact['at'] : ''); ?></td>
<td><?php if (! (str_starts_with($fact['name'], 'target.serial'))): ?><input name="facts[<?php echo e($fact['name']); ?>]" class="form-control form-control-sm mono" aria-label="Correct <?php echo e($fact['name']); ?>" value="<?php echo e(old('facts')[$fact['name']] ?? ($brief['machine']['facts'][$fact['name']] ?? '')); ?>"><?php endif; ?></td></tr><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</tbody></table></div>
<?php if($plan['notes'] !== []): ?><h2>Not understood, or contradictory</h2><ul><?php $__currentLoopData = $plan['notes']; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $note): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><?php echo e($note); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ul><?php endif; ?>
<div class="acts"><button class="btn go">Compute the path again</button></div>
</form>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/jobs/intake.blade.php ENDPATH**/ ?>