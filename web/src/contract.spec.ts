// The contract's specs in the browser as well: Joi has a build of its own for it.
import '../../contract/src/contract.spec';
