{{-- One button of the live desk. live: LiveRoom; act; do: its words; with: what else is sent along; about --}}
@props(['live', 'act', 'do', 'with' => [], 'about' => '', 'class' => 'btn-plain'])
<x-act :to="$live->page" :do="$do" :about="$about" :class="$class . ' py-0'"
    :with="['act' => $act, 'rehearsal' => $live->isRehearsal ? 1 : 0] + $with">{{ $slot }}</x-act>
