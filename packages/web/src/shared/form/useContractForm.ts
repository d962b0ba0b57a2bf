import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useForm, type DefaultValues, type FieldValues, type Path, type Resolver } from 'react-hook-form';
import { readAppError, type AppError } from '../api/appError.ts';

/**
 * A form over a request class of the contract: the same checks here as on the server. What the server refuses is shown at
 * its field; nothing typed is lost.
 */
export function useContractForm<T extends FieldValues>(type: new () => T, defaultValues: DefaultValues<T>) {
  // The resolver's types know the class only as an object; the values are the same.
  const resolver = classValidatorResolver(type as never, {
    validator: { whitelist: true, forbidNonWhitelisted: true },
  }) as unknown as Resolver<T>;
  const form = useForm<T>({ resolver, defaultValues, mode: 'onSubmit' });
  const showError = (error: unknown): AppError => {
    const known = readAppError(error);
    for (const [field, message] of Object.entries(known.fields ?? {})) form.setError(field as Path<T>, { message });
    form.setError('root', { message: known.message });
    return known;
  };
  return { ...form, showError };
}
