{{-- One host account. account: HostAccount --}}
<tr>
    <td><b>{{ $account->name }}</b></td>
    <td>
        <form class="inline" method="post" action="{{ route('host-accounts.update', $account->id) }}">@csrf
            @method('put')
            <select class="form-select w-auto" name="of" aria-label="{{ __('licences.plan_of', ['account' => $account->name]) }}">
                @foreach ($page->plans as $plan)
                    <option value="{{ $plan->id }}" @selected($plan->name === $account->plan)>{{ $plan->name }}</option>
                @endforeach
            </select>
            <button class="btn btn-plain py-0">{{ __('licences.change') }}<span class="visually-hidden">
                    {{ __('licences.change_of', ['account' => $account->name]) }}</span></button>
        </form>
    </td>
    <td class="num">{{ $account->seats }}</td>
    <td class="num">{{ $account->minutes }}</td>
    <td class="num">{{ $account->atOnce }}</td>
    <td class="num">{{ $load->standing[$account->id] ?? 0 }}</td>
    <td><x-act :to="route('host-accounts.destroy', $account->id)" method="delete" class="btn-plain py-0" :do="__('licences.take_out')"
        :about="$account->name" /></td>
</tr>
